namespace Abri.Core.Water.Leaks;

/// <summary>What keeps rain out of a suspect until it is mended.</summary>
/// <param name="Number">Number of the suspect.</param>
/// <param name="What">What to do.</param>
/// <param name="Needs">What it takes.</param>
/// <param name="Minutes">How long it takes, min: assumption.</param>
/// <param name="Caution">What can hurt, or spoil the proper mend; null when nothing.</param>
public sealed record TemporaryCover(int Number, string What, IReadOnlyList<string> Needs, double Minutes, string? Caution)
{
    private const double SetUpMinutes = 8,
        PerMetreMinutes = 12;

    /// <summary>The cover for a suspect, by its kind: common practice, no source.</summary>
    internal static TemporaryCover Of(int number, Suspect suspect, bool onRoof)
    {
        double lengthM = suspect.Points.Zip(suspect.Points.Skip(1)).Sum(p => p.First.DistanceMm(p.Second)) / 1000;
        (string what, string[] needs, string? caution) = suspect.Kind switch
        {
            SuspectKind.Hole or SuspectKind.Grommet or SuspectKind.Screw or SuspectKind.SpotWeld or SuspectKind.FloorPlug or SuspectKind.CableGland =>
                (
                    "Wipe it dry, plug it with butyl, and press aluminium-backed butyl tape over it.",
                    new[] { "butyl putty", "aluminium-backed butyl tape", "dry cloths" },
                    (string?)null
                ),
            SuspectKind.DoorSeal => (
                "Close the door and tape over the gap from outside, from the foot up, so that each strip laps over the one below.",
                ["wide cloth tape", "dry cloths"],
                "Leave one door that opens: it is the way out."
            ),
            SuspectKind.CrackedPlastic => (
                "Cover it with a sheet drawn tight and tied down, its edges below it on all sides.",
                ["sheet or bag", "cord", "cloth tape"],
                null
            ),
            SuspectKind.BackedUpDrain => (
                "Poke it free from below with a cable tie, no wire and no air gun; pour a cup of water in and see it come out.",
                ["cable tie", "cup"],
                null
            ),
            SuspectKind.DoorMembrane => (
                "Lining off the door; press the membrane back on its bead, tape its tears and its lower edge into the door, not onto the lining.",
                ["cloth tape", "butyl tape"],
                null
            ),
            SuspectKind.ClipRow => ("Tape the trim's upper edge to the skin.", ["cloth tape", "dry cloths"], null),
            _ => (
                "Wipe it dry and press removable sealing tape along it, from the low end up.",
                ["removable sealing tape or butyl tape", "dry cloths", "seam roller"],
                "No silicone: no later repair sticks to what silicone leaves behind."
            ),
        };
        string? fall = onRoof ? "A wet roof is slippery: work from a ladder or a board, and not in wind." : null;
        return new TemporaryCover(
            number,
            what,
            needs,
            Math.Round(SetUpMinutes + (PerMetreMinutes * Math.Max(0.3, lengthM))),
            fall is null ? caution
                : caution is null ? fall
                : $"{caution} {fall}"
        );
    }
}
