using Abri.Core.Geometry;

namespace Abri.Core.Openings;

/// <summary>How a position stands against a rule.</summary>
public enum VerdictState
{
    /// <summary>Meets the rule.</summary>
    Good,

    /// <summary>Can be done, with more work or something still to be found out.</summary>
    NeedsWork,

    /// <summary>Must not be done.</summary>
    Blocked,
}

/// <summary>What a row of a verdict speaks of, to be shown in the drawing.</summary>
/// <param name="Points">Points of a line, or corners of an area.</param>
/// <param name="IsArea">Whether the last point is joined to the first.</param>
public sealed record Mark(IReadOnlyList<PanelPoint> Points, bool IsArea);

/// <summary>One rule's judgement of a position.</summary>
/// <param name="Id">Stable name of the rule, such as <c>clearance-front</c>.</param>
/// <param name="State">The judgement.</param>
/// <param name="Title">What is judged, in a few words.</param>
/// <param name="Measured">What was measured; null where nothing is.</param>
/// <param name="Required">What is required; null where nothing is.</param>
/// <param name="Unit">Unit of both: mm, ml or kg.</param>
/// <param name="Why">Why the rule is there, or what was found.</param>
/// <param name="Remedy">What would mend it; null where nothing needs mending.</param>
/// <param name="Where">What it speaks of.</param>
public sealed record VerdictRow(
    string Id,
    VerdictState State,
    string Title,
    double? Measured,
    double? Required,
    string Unit,
    string Why,
    string? Remedy,
    IReadOnlyList<Mark> Where
);

/// <summary>The judgement of a position by all rules.</summary>
/// <param name="State">The worst of the rows.</param>
/// <param name="Summary">The judgement in a few words.</param>
/// <param name="Reason">What decides it.</param>
/// <param name="Clearances">Distance from the cut edge to the nearest member, or the panel's edge, on each side, mm.</param>
/// <param name="Rows">One row per rule, worst first.</param>
/// <param name="Cautions">What can hurt the person who does the work.</param>
public sealed record Verdict(
    VerdictState State,
    string Summary,
    string Reason,
    PerSide Clearances,
    IReadOnlyList<VerdictRow> Rows,
    IReadOnlyList<string> Cautions
);
