using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>Names of the sides of a panel, as people say them: a roof has a left and a right where a wall has a top and a bottom.</summary>
public static class SideWords
{
    /// <summary>The side as an adjective: front, rear, left, right, top, lower.</summary>
    public static string Name(this Facing facing, Side side) =>
        (side, facing) switch
        {
            (Side.Front, Facing.Rear or Facing.Front) => "right",
            (Side.Rear, Facing.Rear or Facing.Front) => "left",
            (Side.Front, _) => "front",
            (Side.Rear, _) => "rear",
            (Side.Top, Facing.Up or Facing.Down) => "left",
            (_, Facing.Up or Facing.Down) => "right",
            (Side.Top, _) => "top",
            _ => "lower",
        };

    /// <summary>The ways in which a size is said: along and across a roof or floor, across and up a wall or door.</summary>
    public static (string Width, string Height) Ways(this Facing facing) =>
        facing is Facing.Up or Facing.Down ? ("along", "across") : ("across", "up");

    /// <summary>What the centre lines are called: the one that parts front and rear (right and left at the rear), then the other.</summary>
    public static (string Across, string Along) CentreLines(this Facing facing) =>
        facing is Facing.Up or Facing.Down ? ("across", "along") : ("upright", "level");

    /// <summary>The way to the side.</summary>
    public static string Towards(this Facing facing, Side side) =>
        facing.Name(side) switch
        {
            "top" => "up",
            "lower" => "down",
            string name => $"to the {name}",
        };

    /// <summary>Where something lies that is on this side.</summary>
    public static string Beside(this Facing facing, Side side) =>
        facing.Name(side) switch
        {
            "front" => "in front",
            "rear" => "behind",
            "top" => "above",
            "lower" => "below",
            string name => $"at the {name}",
        };
}
