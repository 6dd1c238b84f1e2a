using Abri.Core.Geometry;
using Abri.Core.Load;
using Abri.Core.Record;
using Abri.Core.Shell;

namespace Abri.Core.Stages;

/// <summary>Where places on panels lie in the vehicle: a panel's frame says two of the three, the panels across from it the third.</summary>
internal sealed class PlaceInVehicle
{
    /// <summary>Where panels say nothing, mm: assumptions.</summary>
    private const double UsualHeightMm = 1900,
        UsualHalfWidthMm = 900;

    private readonly double topMm,
        halfWidthMm,
        frontMm,
        rearMm;

    public PlaceInVehicle(VehicleSnapshot of)
    {
        PanelBox[] Boxes(params Facing[] facings) => [.. of.Panels.Where(p => facings.Contains(p.Value.Facing)).Select(p => p.Value.Box)];
        PanelBox[] flat = Boxes(Facing.Up, Facing.Down),
            sides = Boxes(Facing.Left, Facing.Right),
            ends = Boxes(Facing.Rear, Facing.Front),
            along = [.. flat, .. sides];
        topMm = sides.Concat(ends).Select(b => b.TMaxMm).DefaultIfEmpty(UsualHeightMm).Max();
        halfWidthMm = flat.Select(b => Math.Max(b.TMaxMm, -b.TMinMm))
            .Concat(ends.Select(b => Math.Max(b.SMaxMm, -b.SMinMm)))
            .DefaultIfEmpty(UsualHalfWidthMm)
            .Max();
        frontMm = along.Select(b => b.SMinMm).DefaultIfEmpty(0).Min();
        rearMm = along.Select(b => b.SMaxMm).DefaultIfEmpty(0).Max();
    }

    /// <summary>The place.</summary>
    public LoadPlace Of(Panel panel, PanelPoint at) =>
        panel.Facing switch
        {
            Facing.Up => new(at.SMm, at.TMm, panel.Kind == PanelKind.Step ? 0 : topMm),
            Facing.Down => new(at.SMm, at.TMm, 0),
            Facing.Left => new(at.SMm, halfWidthMm, at.TMm),
            Facing.Right => new(at.SMm, -halfWidthMm, at.TMm),
            Facing.Rear => new(rearMm, at.SMm, at.TMm),
            _ => new(frontMm, at.SMm, at.TMm),
        };
}
