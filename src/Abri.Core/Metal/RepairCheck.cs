using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Metal;

/// <summary>Says what is contradictory about a repair on its panel, or that nothing is.</summary>
public static class RepairCheck
{
    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Of(Panel panel, Repair repair)
    {
        bool isRow = repair.Kind == RepairKind.Plug;
        (int least, string needs) = (isRow, repair.Shape) switch
        {
            (true, _) or (_, FindingShape.Point) => (1, "A point needs 1 place."),
            (_, FindingShape.Line) => (2, "A line needs at least 2 points."),
            _ => (3, "An area needs at least 3 corners."),
        };
        if (repair.Points.Count < least || (!isRow && repair.Shape == FindingShape.Point && repair.Points.Count > 1))
            return new Problem("repair-points", "/points", needs);
        if (!isRow && repair.Shape == FindingShape.Area && Outlines.Check(repair.Points, "/points") is { } crossed)
            return crossed;
        if (PlaceCheck.Of(panel, repair.Points, "repair-off-panel", "/points") is { } off)
            return off;
        (string Field, bool Missing, string What)[] wanted =
        [
            ("/spot", repair is { Kind: RepairKind.Treat or RepairKind.Patch or RepairKind.Plate, Spot: null }, "what the metal is like"),
            ("/patch", repair is { Kind: RepairKind.Patch or RepairKind.Plate, Patch: null }, "the patch"),
            ("/holes", repair is { Kind: RepairKind.Plug, Holes: null }, "the holes"),
            ("/seam", repair is { Kind: RepairKind.Gutter, Seam: null }, "the bead"),
            ("/trim", repair is { Kind: RepairKind.Trim, Trim: null }, "the trim"),
            ("/window", repair is { Kind: RepairKind.WindowOut, Window: null }, "the window"),
            ("/door", repair is { Kind: RepairKind.Door, Door: null }, "the readings of the door"),
        ];
        if (wanted.FirstOrDefault(w => w.Missing) is { What: not null } missing)
            return new Problem("repair-incomplete", missing.Field, $"This kind of repair needs {missing.What}.");
        if (repair.Kind == RepairKind.Door && !panel.IsDoor)
            return new Problem("repair-no-door", "/kind", "This panel is no door: its kind stands with its shape.");
        if (!RepairProposal.Kinds(repair.Shape, panel.IsDoor).Contains(repair.Kind))
            return repair.Kind == RepairKind.WindowOut
                ? new Problem("repair-not-an-area", "/shape", "A window is drawn as an area.")
                : new Problem("repair-not-a-line", "/shape", "A gutter, a seam or a trim is drawn as a line.");
        if (repair is { Kind: RepairKind.Door, Door: { } door } && DoorBow.Wrong(door) is { } contradiction)
            return contradiction with { Pointer = "/door" + contradiction.Pointer };
        if (repair.Kind == RepairKind.Plate && repair.Patch!.Shape != HoleShape.NoHole)
            return new Problem("plate-with-hole", "/patch/shape", "A plate goes over what stays: it has no hole.");
        if (repair.Kind == RepairKind.Patch && repair.Patch!.Shape == HoleShape.NoHole)
            return new Problem("patch-without-hole", "/patch/shape", "A patch closes a hole: choose its shape, or make it a plate.");
        if (repair.FindingIds.Distinct(StringComparer.Ordinal).Count() < repair.FindingIds.Count)
            return new Problem("finding-twice", "/findingIds", "Each finding is named once.");
        return repair is { IsOver: true, Kind: not RepairKind.Leave, DoneOn: null }
            ? new Problem("repair-undated", "/doneOn", "Say when it was done: dates to look again count from it.")
            : null;
    }
}
