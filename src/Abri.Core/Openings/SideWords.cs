using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>Names the sides of an opening in the words of its panel: a roof has a left and a right where a wall has a top and a bottom.</summary>
internal static class SideWords
{
    /// <summary>The side as an adjective: front, rear, left, right, top, lower.</summary>
    public static string Name(this PanelKind panel, Side side) => (side, panel) switch
    {
        (Side.Front, _) => "front",
        (Side.Rear, _) => "rear",
        (Side.Top, PanelKind.Roof) => "left",
        (_, PanelKind.Roof) => "right",
        (Side.Top, _) => "top",
        _ => "lower",
    };

    /// <summary>The way to the side.</summary>
    public static string Towards(this PanelKind panel, Side side) => (side, panel) switch
    {
        (Side.Top, not PanelKind.Roof) => "up",
        (Side.Bottom, not PanelKind.Roof) => "down",
        _ => $"to the {panel.Name(side)}",
    };

    /// <summary>Where something lies that is on this side.</summary>
    public static string Beside(this PanelKind panel, Side side) => (side, panel) switch
    {
        (Side.Front, _) => "in front",
        (Side.Rear, _) => "behind",
        (Side.Top, not PanelKind.Roof) => "above",
        (_, not PanelKind.Roof) => "below",
        _ => $"at the {panel.Name(side)}",
    };
}
