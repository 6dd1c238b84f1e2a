using Abri.Core.Geometry;

namespace Abri.Core.Work;

/// <summary>How something stands against a rule.</summary>
public enum JudgementState
{
    /// <summary>Meets the rule.</summary>
    Good,

    /// <summary>Can be done, with more work or something still to be found out.</summary>
    NeedsWork,

    /// <summary>Must not be done.</summary>
    Blocked,
}

/// <summary>What a judgement speaks of, to be shown in the drawing.</summary>
/// <param name="Points">Points of a line, or corners of an area.</param>
/// <param name="IsArea">Whether the last point is joined to the first.</param>
public sealed record Mark(IReadOnlyList<PanelPoint> Points, bool IsArea);

/// <summary>What one rule says of something that is planned or found: a place, a way out for the water, a repair.</summary>
/// <param name="Id">Stable name of the rule, such as <c>clearance-front</c>.</param>
/// <param name="State">The judgement.</param>
/// <param name="Title">What is judged, in a few words.</param>
/// <param name="Measured">What was measured; null where nothing is.</param>
/// <param name="Required">What is required; null where nothing is.</param>
/// <param name="Unit">Unit of both.</param>
/// <param name="Why">Why the rule is there, or what was found.</param>
/// <param name="Remedy">What would mend it; null where nothing needs mending.</param>
/// <param name="Where">What it speaks of.</param>
public sealed record Judgement(
    string Id,
    JudgementState State,
    string Title,
    double? Measured,
    double? Required,
    Unit Unit,
    string Why,
    string? Remedy,
    IReadOnlyList<Mark> Where
);
