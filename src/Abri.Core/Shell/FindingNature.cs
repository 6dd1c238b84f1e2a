namespace Abri.Core.Shell;

/// <summary>A figure that is measured at a finding, by what it is called there.</summary>
public enum FindingFigure
{
    /// <summary>Length of it; stands in <see cref="FindingMeasures.LengthMm"/>.</summary>
    Length,

    /// <summary>Diameter of what is round; stands in <see cref="FindingMeasures.LengthMm"/>.</summary>
    Diameter,

    /// <summary>Width of it; stands in <see cref="FindingMeasures.WidthMm"/>.</summary>
    Width,

    /// <summary>How far it gapes; stands in <see cref="FindingMeasures.WidthMm"/>.</summary>
    Gap,

    /// <summary>Depth of it; stands in <see cref="FindingMeasures.DepthMm"/>.</summary>
    Depth,

    /// <summary>Moisture of the wood; stands in <see cref="FindingMeasures.MoisturePercent"/>.</summary>
    Moisture,
}

/// <summary>What belongs to a kind of finding: how it usually lies, and what there is to measure at it.</summary>
/// <param name="Kind">The kind.</param>
/// <param name="Shape">How it usually lies: a seam along a line, rust over an area, a hole at a point. Any finding can be drawn otherwise.</param>
/// <param name="Figures">What is measured at it, in the order in which one would; empty where nothing is.</param>
public sealed record FindingNature(FindingKind Kind, FindingShape Shape, IReadOnlyList<FindingFigure> Figures)
{
    /// <summary>All kinds, each once, in the order of <see cref="FindingKind"/>. Common practice: what a person at the place can measure.</summary>
    public static IReadOnlyList<FindingNature> All { get; } = [.. Enum.GetValues<FindingKind>().Select(Of)];

    /// <summary>What belongs to a kind.</summary>
    public static FindingNature Of(FindingKind kind) =>
        kind switch
        {
            FindingKind.SurfaceRust or FindingKind.Scale or FindingKind.Perforation or FindingKind.Stain or FindingKind.DampInsulation => Area(kind),
            FindingKind.Pitting or FindingKind.StandingWater or FindingKind.Dent => Area(kind, FindingFigure.Depth),
            FindingKind.SoftWood => Area(kind, FindingFigure.Depth, FindingFigure.Moisture),
            FindingKind.OpenSeam => new(kind, FindingShape.Line, [FindingFigure.Length, FindingFigure.Gap]),
            FindingKind.CrackedSealant or FindingKind.CrackInPlastic => new(kind, FindingShape.Line, [FindingFigure.Length]),
            FindingKind.OpenHole or FindingKind.MissingSeal => new(kind, FindingShape.Point, [FindingFigure.Diameter]),
            FindingKind.LooseClip or FindingKind.BlockedDrain => new(kind, FindingShape.Point, []),
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, null),
        };

    private static FindingNature Area(FindingKind kind, params FindingFigure[] more) =>
        new(kind, FindingShape.Area, [FindingFigure.Length, FindingFigure.Width, .. more]);
}
