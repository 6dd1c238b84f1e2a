using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings.Seating;

/// <summary>Draws the scribes of an inner frame in true scale: each side a blank with the line to which its top is planed.</summary>
public static class ScribeDrawing
{
    private const double ApartMm = 24,
        TickMm = 2;

    /// <summary>Draws the four blanks, one above the other.</summary>
    /// <param name="title">What the opening is called.</param>
    /// <param name="facing">Which way the panel faces.</param>
    /// <param name="plan">The frame.</param>
    /// <param name="lengths">How lengths are written.</param>
    public static Drawing Of(string title, Facing facing, FramePlan plan, LengthFormat lengths)
    {
        var lines = new List<DrawnLine>();
        var texts = new List<DrawnText>();
        double foot = 0;
        foreach (Scribe side in plan.Sides)
        {
            double top = foot + plan.ThickMm;
            lines.Add(new DrawnLine(Layer.Inner, 0, foot, side.LengthMm, foot));
            lines.Add(new DrawnLine(Layer.Inner, 0, foot, 0, top));
            lines.Add(new DrawnLine(Layer.Inner, side.LengthMm, foot, side.LengthMm, top));
            lines.Add(new DrawnLine(Layer.Flange, 0, top, side.LengthMm, top));
            for (int i = 1; i < side.Places.Count; i++)
                lines.Add(
                    new DrawnLine(
                        Layer.Cut,
                        side.Places[i - 1].AlongMm,
                        top - side.Places[i - 1].CutMm,
                        side.Places[i].AlongMm,
                        top - side.Places[i].CutMm
                    )
                );
            lines.AddRange(side.Places.Select(p => new DrawnLine(Layer.Datum, p.AlongMm, top - TickMm, p.AlongMm, top + TickMm)));
            texts.Add(
                new DrawnText(
                    Layer.Text,
                    4,
                    foot + 3,
                    3.5,
                    $"{facing.Name(side.Side)} side, {lengths.Text(side.LengthMm)} long, blank {lengths.Text(plan.ThickMm)}; plane "
                        + $"to the line; a tick every {lengths.Text(InnerFrame.StepMm)}"
                )
            );
            foot = top + ApartMm;
        }
        return new Drawing($"{title}, inner frame", ViewedFrom.Inside, lines, [], texts);
    }
}
