using Abri.Core.Declared;

namespace Abri.Core.Water.Leaks;

/// <summary>How likely a suspect leaks before anything is known but its kind and its state.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Condition">In what state it is.</param>
/// <param name="Probability">Probability, 0 to 1.</param>
public sealed record LeakPrior(SuspectKind Kind, Condition Condition, [Within(0, 1, "A probability")] double Probability);

/// <summary>
/// The table of priors: assumptions all of them, to be changed by whoever knows better.
/// </summary>
/// <remarks>A kind has odds when nobody has looked at it; its state multiplies them.</remarks>
public static class LeakPriors
{
    /// <summary>The table as it is before anybody changes it.</summary>
    public static IReadOnlyList<LeakPrior> Usual { get; } =
    [
        .. from kind in Enum.GetValues<SuspectKind>()
        from condition in Enum.GetValues<Condition>()
        select new LeakPrior(kind, condition, Of(kind, condition)),
    ];

    /// <summary>The prior of a suspect, by the changed table where it says something, by the usual one otherwise.</summary>
    public static double Of(SuspectKind kind, Condition condition, IReadOnlyList<LeakPrior> changed) =>
        changed.FirstOrDefault(p => p.Kind == kind && p.Condition == condition)?.Probability ?? Of(kind, condition);

    private static double Of(SuspectKind kind, Condition condition)
    {
        double unseen = kind switch
        {
            SuspectKind.SpotWeld => 0.04,
            SuspectKind.Seam or SuspectKind.Gutter => 0.05,
            SuspectKind.Corner or SuspectKind.Screw or SuspectKind.ClampGap => 0.1,
            SuspectKind.FloorPlug => 0.06,
            SuspectKind.Windscreen => 0.08,
            SuspectKind.TrimStrip or SuspectKind.BackedUpDrain => 0.1,
            SuspectKind.Grommet or SuspectKind.RoofFixing or SuspectKind.Lamp => 0.15,
            SuspectKind.CrackedPlastic or SuspectKind.Hole => 0.3,
            _ => 0.12,
        };
        double factor = condition switch
        {
            Condition.Sound => 0.2,
            Condition.Aged => 2,
            Condition.Cracked => 6,
            Condition.Loose => 5,
            Condition.Open => 25,
            _ => 1,
        };
        double odds = unseen / (1 - unseen) * factor;
        return Math.Round(odds / (1 + odds), 2);
    }
}
