using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>
/// Lays a panel on paper the way a person who stands before it sees it.
/// </summary>
/// <remarks>
/// Roof, floor and left side are drawn with the front of the vehicle at the left, the right side with the front at the right when
/// seen from outside; the rear with the vehicle's left at the left. From above, with the front at the left, the vehicle's left side is at the foot of
/// the paper: a drawing
/// with front at the left and the vehicle's left at the top shows the roof from below. A sheet that is mirrored by mistake puts
/// the hole in the wrong place, so a test checks each view against the outward normal of its panel.
/// </remarks>
/// <param name="SSign">+1 when s runs to the right of the paper, -1 when it runs to the left.</param>
/// <param name="TSign">+1 when t runs up the paper, -1 when it runs down.</param>
public readonly record struct PanelView(int SSign, int TSign)
{
    /// <summary>The view of a panel that faces some way.</summary>
    public static PanelView Of(Facing facing, ViewedFrom from)
    {
        PanelView outside = facing switch
        {
            Facing.Up => new PanelView(1, -1),
            Facing.Right or Facing.Rear => new PanelView(-1, 1),
            _ => new PanelView(1, 1),
        };
        if (from == ViewedFrom.Outside)
            return outside;
        // Seen from the other side, one axis turns round. A person under the roof or on the floor still has the front at the left; on a wall, up
        // stays up.
        return facing is Facing.Up or Facing.Down ? new PanelView(outside.SSign, -outside.TSign) : new PanelView(-outside.SSign, outside.TSign);
    }

    /// <summary>A place on paper, mm: X to the right, Y up.</summary>
    public (double XMm, double YMm) ToPaper(PanelPoint p) => (p.SMm * SSign, p.TMm * TSign);
}
