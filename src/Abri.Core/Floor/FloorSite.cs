using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Floor;

/// <summary>A floor with what is known of it.</summary>
/// <param name="Panel">The floor.</param>
/// <param name="Members">Its bearers, and what else lies below.</param>
/// <param name="Boards">Its boards.</param>
/// <param name="Probes">Where it was probed.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record FloorSite(
    Panel Panel,
    [Members] IReadOnlyList<Member> Members,
    [Count(0, 200, "A panel has at most 200 boards.")] IReadOnlyList<Board> Boards,
    [Count(0, Probe.MostOnPanel, "A panel has at most {1} probes.")] IReadOnlyList<Probe> Probes,
    LengthFormat? Lengths = null
)
{
    /// <summary>How lengths are written.</summary>
    internal LengthFormat Format => Lengths ?? LengthFormat.Millimetres;

    /// <summary>What carries the boards.</summary>
    internal IEnumerable<Member> Bearers => Members.Where(m => m.Kind == MemberKind.Bearer);

    /// <summary>Bad places of the boards.</summary>
    internal IEnumerable<PanelPoint> Bad => Probes.Where(p => p.Of == ProbeOf.Board && p.IsBad).Select(p => p.At);

    /// <summary>Sound places of the boards.</summary>
    internal IEnumerable<PanelPoint> Sound => Probes.Where(p => p.Of == ProbeOf.Board && !p.IsBad).Select(p => p.At);

    /// <summary>The first contradiction, or null.</summary>
    internal Problem? Check()
    {
        if (ShellCheck.Of(Panel, Members) is { } shell)
            return shell;
        for (int i = 0; i < Boards.Count; i++)
        {
            if (Board.Check(Panel, Boards[i]) is { } board)
                return board.Under($"/boards/{i}");
        }
        for (int i = 0; i < Probes.Count; i++)
        {
            if (Probe.Check(Panel, Probes[i]) is { } probe)
                return probe.Under($"/probes/{i}");
        }
        return null;
    }
}
