using Abri.Core.Geometry;
using Abri.Core.Work;

namespace Abri.Core.Shell;

/// <summary>Where a repair stands in the order of work.</summary>
public enum RepairTurn
{
    /// <summary>It is begun, and the shell may stand open there.</summary>
    StandsOpen,

    /// <summary>It keeps water out.</summary>
    KeepsWaterOut,

    /// <summary>It takes off what covers the shell, and puts it on again.</summary>
    Uncovers,

    /// <summary>It treats or replaces metal.</summary>
    MendsMetal,

    /// <summary>It replaces bad wood.</summary>
    ReplacesWood,

    /// <summary>Wax goes into its cavity, after every sealant and coat there.</summary>
    Waxes,

    /// <summary>It hides the shell from inside.</summary>
    Lines,
}

/// <summary>A repair that waits.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Verb">What is done, such as <c>treat</c>.</param>
/// <param name="Turn">Where it stands in the order.</param>
/// <param name="Severity">How bad what it mends is.</param>
public sealed record WaitingRepair(string Name, string Verb, RepairTurn Turn, Severity Severity);

/// <summary>Something that waits to be done on the shell, as the order of work looks at it.</summary>
/// <param name="Job">What it is.</param>
/// <param name="Where">Name of its panel.</param>
/// <param name="Finding">The finding; null for others.</param>
/// <param name="OpeningName">Name of the opening; null for others.</param>
/// <param name="IsCut">Whether the opening is cut and not fitted.</param>
/// <param name="Test">The last water test that wetted the finding since it was seen; null where none did.</param>
/// <param name="Repair">The repair; null for others.</param>
public sealed record Waiting(
    Job Job,
    string Where,
    Finding? Finding,
    string? OpeningName = null,
    bool IsCut = false,
    TestedJoint? Test = null,
    WaitingRepair? Repair = null
)
{
    internal string Name => Finding?.Name ?? Repair?.Name ?? OpeningName!;

    internal Severity? Severity => Finding?.Severity ?? Repair?.Severity;
}

/// <summary>What a water test said of a joint.</summary>
/// <param name="Wet">Whether water came in while it was sprayed.</param>
/// <param name="On">When.</param>
public sealed record TestedJoint(bool Wet, DateOnly On);

/// <summary>The turns of the work, in order.</summary>
public enum WorkTurn
{
    /// <summary>What is cut is closed.</summary>
    CloseShell,

    /// <summary>Drains are opened.</summary>
    LetWaterOut,

    /// <summary>Seams, seals and holes keep water out again.</summary>
    KeepWaterOut,

    /// <summary>Wet linings and insulation come out, and what is damp dries.</summary>
    DryOut,

    /// <summary>Where water came in is found.</summary>
    FindTheLeak,

    /// <summary>What covers the shell comes off.</summary>
    Uncover,

    /// <summary>Rust is treated, metal replaced.</summary>
    TreatRust,

    /// <summary>Bad wood is replaced.</summary>
    ReplaceWood,

    /// <summary>What lets no water in.</summary>
    Straighten,

    /// <summary>New holes.</summary>
    NewOpenings,

    /// <summary>Cavity wax.</summary>
    Wax,

    /// <summary>Linings hide it all.</summary>
    Line,
}

/// <summary>One thing to do, and why now.</summary>
/// <param name="Job">What it is about.</param>
/// <param name="What">What to do.</param>
/// <param name="Why">Why it comes at this place in the order.</param>
/// <param name="Caution">What must not be done meanwhile; null when nothing.</param>
/// <param name="Turn">Its turn.</param>
public sealed record NextJob(Job Job, string What, string Why, string? Caution, WorkTurn Turn);

/// <summary>
/// Puts what waits on a shell in the order in which the trade does it, worst first within a step.
/// </summary>
/// <remarks>
/// An open shell is closed first. Then water is let out (drains: a blocked one makes every test lie) and kept out (seams, seals, holes, clips), wet
/// linings and insulation come out, and where it came from is proved; then trims come off, and rust is treated, before anything is lined; then soft
/// wood is replaced, whose boards come up before rust below them; new openings come into a sound shell;
/// cavity wax comes after all that, and last of all what hides it. Common practice, no source. While anything inside is damp, nothing that would trap
/// water is ever proposed.
/// </remarks>
public static class WorkOrder
{
    /// <summary>All that waits, in order; what is done or only watched is left out.</summary>
    public static IReadOnlyList<NextJob> Of(IReadOnlyList<Waiting> waiting)
    {
        List<Waiting> open = [.. waiting.Where(w => w.Finding is null or { State: FindingState.Open or FindingState.Planned })];
        bool wood = open.Any(w => TurnOf(w) == WorkTurn.ReplaceWood);
        bool damp = open.Any(w => w.Finding is { Kind: FindingKind.DampInsulation or FindingKind.Stain or FindingKind.SoftWood });
        return
        [
            .. open.OrderBy(TurnOf)
                // What let water in when it was sprayed comes before what was not tested, that before what stayed dry.
                .ThenBy(w => w.Test is { Wet: var wet } ? (wet ? 0 : 2) : 1)
                .ThenByDescending(w => w.Severity)
                .ThenBy(w => w.Finding?.SeenAt)
                .ThenBy(w => w.Name, StringComparer.Ordinal)
                .Select(w => new NextJob(w.Job, What(w, damp), Why(w), Caution(w, damp, wood), TurnOf(w))),
        ];
    }

    private static WorkTurn TurnOf(Waiting w) =>
        w.Repair is { } repair
            ? repair.Turn switch
            {
                RepairTurn.StandsOpen => WorkTurn.CloseShell,
                RepairTurn.KeepsWaterOut => WorkTurn.KeepWaterOut,
                RepairTurn.Uncovers => WorkTurn.Uncover,
                RepairTurn.MendsMetal => WorkTurn.TreatRust,
                RepairTurn.ReplacesWood => WorkTurn.ReplaceWood,
                RepairTurn.Lines => WorkTurn.Line,
                _ => WorkTurn.Wax,
            }
            : w.Finding switch
            {
                null => w.IsCut ? WorkTurn.CloseShell : WorkTurn.NewOpenings,
                {
                    Kind: FindingKind.OpenSeam
                        or FindingKind.CrackedSealant
                        or FindingKind.MissingSeal
                        or FindingKind.OpenHole
                        or FindingKind.CrackInPlastic
                        or FindingKind.LooseClip
                } => WorkTurn.KeepWaterOut,
                { Kind: FindingKind.Perforation, Seen: ViewedFrom.Outside } => WorkTurn.KeepWaterOut,
                { Kind: FindingKind.BlockedDrain or FindingKind.StandingWater } => WorkTurn.LetWaterOut,
                { Kind: FindingKind.Stain } => WorkTurn.FindTheLeak,
                { Kind: FindingKind.DampInsulation } => WorkTurn.DryOut,
                { Kind: FindingKind.SurfaceRust or FindingKind.Scale or FindingKind.Pitting or FindingKind.Perforation } => WorkTurn.TreatRust,
                { Kind: FindingKind.SoftWood } => WorkTurn.ReplaceWood,
                _ => WorkTurn.Straighten,
            };

    private static string What(Waiting w, bool damp)
    {
        string thing = char.ToLowerInvariant(w.Name[0]) + w.Name[1..];
        if (w.Repair is { } repair)
            return $"{repair.Verb}: {thing}";
        return TurnOf(w) switch
        {
            WorkTurn.CloseShell => $"fit {thing}, or cover it",
            WorkTurn.KeepWaterOut
                when w.Test is null && damp && w.Finding!.Kind is FindingKind.OpenSeam or FindingKind.CrackedSealant or FindingKind.MissingSeal =>
                $"test and close: {thing}",
            WorkTurn.KeepWaterOut => $"close: {thing}",
            WorkTurn.LetWaterOut => $"let the water out: {thing}",
            WorkTurn.FindTheLeak => $"find where it gets in: {thing}",
            WorkTurn.DryOut => $"open up and dry: {thing}",
            WorkTurn.TreatRust => $"treat: {thing}",
            WorkTurn.ReplaceWood => $"cut out and replace: {thing}",
            WorkTurn.NewOpenings => $"place and mark out {thing}",
            _ => $"fix: {thing}",
        };
    }

    private static string Why(Waiting w) =>
        w.Where
        + ": "
        + TurnOf(w) switch
        {
            WorkTurn.KeepWaterOut when w.Test is { Wet: false, On: var on } =>
                $"no water came in when it was sprayed on {on:yyyy-MM-dd}: close it, but look for the leak elsewhere",
            WorkTurn.KeepWaterOut when w.Test is { Wet: true, On: var on } => $"water came in when it was sprayed on {on:yyyy-MM-dd}",
            var turn => Reason(turn),
        };

    /// <summary>Why a turn comes when it does.</summary>
    internal static string Reason(WorkTurn turn) =>
        turn switch
        {
            WorkTurn.CloseShell => "it is cut, and the shell is open there",
            WorkTurn.KeepWaterOut => "outside seals come before any work inside",
            WorkTurn.LetWaterOut => "water that cannot leave finds its own way",
            WorkTurn.FindTheLeak => "a stain shows where water ends, not where it gets in",
            WorkTurn.DryOut => "nothing holds on damp ground",
            WorkTurn.Uncover => "what can be taken off comes off once, while the shell is bare",
            WorkTurn.TreatRust => "once no more water comes, and before anything is lined",
            WorkTurn.Wax => "wax comes after every sealant and coat of its cavity: nothing holds on it",
            WorkTurn.Line => "a lining hides what is behind it: all of that comes first",
            WorkTurn.ReplaceWood => "new wood goes in once what made the old wood wet is fixed",
            WorkTurn.NewOpenings => "new holes go into a sound shell",
            _ => "it lets no water in and can wait",
        };

    private static string? Caution(Waiting w, bool damp, bool wood) =>
        TurnOf(w) switch
        {
            _ when w.Finding?.Kind == FindingKind.Perforation =>
                "A hole in what carries the body, belts or wheels is for a licensed workshop: here it is only cleaned and protected.",
            WorkTurn.CloseShell => "Have the cover at hand before you leave it.",
            WorkTurn.DryOut => "Do not insulate, line or seal it from inside before it is dry: the water must get out.",
            WorkTurn.FindTheLeak => "Do not seal it from inside: the water would stay in the wall.",
            WorkTurn.TreatRust when damp => "The inside is still damp: dry it first, and seal no channel or cladding all round.",
            WorkTurn.TreatRust when wood => "Where it lies below boards, they come up first.",
            _ => null,
        };
}
