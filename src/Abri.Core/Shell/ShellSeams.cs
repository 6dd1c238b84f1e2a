using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>What joins a panel to the rest of the shell along a line.</summary>
public enum ShellSeamKind
{
    /// <summary>A seam between two skins.</summary>
    Seam,

    /// <summary>The rubber seal of a door.</summary>
    DoorSeal,
}

/// <summary>A joint that every shell of this kind has, whether somebody drew it or not.</summary>
/// <param name="At">Along which side of its panel it runs: there is one a side, so that this is what others refer to it by.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Line">Where it runs, on its panel.</param>
public sealed record ShellSeam(Side At, string Name, ShellSeamKind Kind, IReadOnlyList<PanelPoint> Line);

/// <summary>Lists the seams round a roof, along the foot of a side, and the seals of doors: for Water, which suspects them, and for Sealing, which
/// seals them.</summary>
public static class ShellSeams
{
    /// <summary>The joints of a panel that follow from what it is.</summary>
    public static IReadOnlyList<ShellSeam> Of(Panel panel)
    {
        PanelBox box = panel.Box;
        string name = panel.Name ?? PanelWords.Name(panel.Kind);
        PanelPoint[] top = [new(box.SMinMm, box.TMaxMm), new(box.SMaxMm, box.TMaxMm)],
            bottom = [new(box.SMinMm, box.TMinMm), new(box.SMaxMm, box.TMinMm)];
        PanelPoint[] front = [new(box.SMinMm, box.TMinMm), new(box.SMinMm, box.TMaxMm)],
            rear = [new(box.SMaxMm, box.TMinMm), new(box.SMaxMm, box.TMaxMm)];
        ShellSeam Seam(Side at, string what, PanelPoint[] line) => new(at, Capital(what), ShellSeamKind.Seam, line);
        ShellSeam Seal(Side at, string which, PanelPoint[] line) => new(at, Capital($"{name} seal, {which}"), ShellSeamKind.DoorSeal, line);
        return panel.Kind switch
        {
            PanelKind.Roof =>
            [
                Seam(Side.Top, "roof seam, left", top),
                Seam(Side.Bottom, "roof seam, right", bottom),
                Seam(Side.Front, "roof seam, front", front),
                Seam(Side.Rear, "roof seam, rear", rear),
            ],
            PanelKind.SlidingDoor or PanelKind.RearLeftDoor or PanelKind.RearRightDoor =>
            [
                Seal(Side.Top, "top", top),
                Seal(Side.Front, panel.Facing.Name(Side.Front), front),
                Seal(Side.Rear, panel.Facing.Name(Side.Rear), rear),
                Seal(Side.Bottom, "foot", bottom),
            ],
            PanelKind.Left or PanelKind.Right => [Seam(Side.Bottom, $"{name}, bottom seam", bottom)],
            _ => [],
        };
    }

    private static string Capital(string name) => char.ToUpperInvariant(name[0]) + name[1..];
}
