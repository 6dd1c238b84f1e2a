using Abri.Core.Declared;

namespace Abri.Core.Shell.Presets;

/// <summary>A panel with its members, before it belongs to a vehicle.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
public sealed record DesignedPanel(Panel Panel, IReadOnlyList<Member> Members);

/// <summary>A shell to start from, which a person then corrects by measurement.</summary>
/// <param name="Key">Stable name.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Description">What is drawn on it.</param>
/// <param name="Kind">What sort of body it is.</param>
/// <param name="Panels">Its panels.</param>
public sealed record ShellDesign(string Key, string Name, string Description, VehicleKind Kind, IReadOnlyList<DesignedPanel> Panels);

/// <summary>Length, width and height of a body, measured outside over the flat of the panels, mm.</summary>
/// <param name="LengthMm">From the front datum to the rear.</param>
/// <param name="WidthMm">From side to side.</param>
/// <param name="HeightMm">From the floor to the roof.</param>
public sealed record BoxSize(
    [Within(500, Limits.LongestMm, "The length", "mm")] double LengthMm,
    [Within(500, 4000, "The width", "mm")] double WidthMm,
    [Within(300, 4500, "The height", "mm")] double HeightMm
);

/// <summary>A blank box: a plain shell of flat panels without members, to be surveyed from nothing.</summary>
public static class BlankBox
{
    /// <summary>Roof, both sides, floor, and the ends that the kind of vehicle has: a van two rear doors and a bulkhead, a bus a rear wall and an
    /// open cab, a trailer two rear doors and a front wall, a caravan body two end walls.</summary>
    public static IReadOnlyList<DesignedPanel> Of(BoxSize size, SkinMaterial material, VehicleKind kind)
    {
        var draw = new Draw(size, material, 0.8);
        DesignedPanel[] rear = [draw.RearDoor(PanelKind.RearLeftDoor), draw.RearDoor(PanelKind.RearRightDoor)];
        if (kind is VehicleKind.Bus or VehicleKind.CaravanBody)
            rear =
            [
                .. rear.Select(p =>
                    p with
                    {
                        Panel = p.Panel with { Name = p.Panel.Kind == PanelKind.RearLeftDoor ? "Rear wall, left half" : "Rear wall, right half" },
                    }
                ),
            ];
        DesignedPanel front = draw.Bulkhead();
        DesignedPanel[] ahead = kind switch
        {
            VehicleKind.Bus => [],
            VehicleKind.PanelVan => [front],
            _ => [front with { Panel = front.Panel with { Name = "Front wall" } }],
        };
        return [draw.Roof(), draw.Side(PanelKind.Left), draw.Side(PanelKind.Right), .. rear, .. ahead, draw.Floor()];
    }
}
