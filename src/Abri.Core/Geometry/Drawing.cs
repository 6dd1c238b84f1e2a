namespace Abri.Core.Geometry;

/// <summary>From which side a panel is looked at.</summary>
public enum ViewedFrom
{
    /// <summary>From outside the vehicle.</summary>
    Outside,

    /// <summary>From inside the vehicle: the mirror image.</summary>
    Inside,
}

/// <summary>What a drawn thing stands for; the names of the layers in every file that is written.</summary>
public enum Layer
{
    /// <summary>The marked line of the cut-out.</summary>
    Cut,

    /// <summary>Where the blade's edge runs in the chosen school.</summary>
    Path,

    /// <summary>The outer flange.</summary>
    Flange,

    /// <summary>The inner frame, and its scribed edges.</summary>
    Inner,

    /// <summary>Where inner ribs are cut back.</summary>
    Trim,

    /// <summary>Holes to drill.</summary>
    Holes,

    /// <summary>Where sheet is folded.</summary>
    Fold,

    /// <summary>The hole in the shell, where it is drawn with what covers it.</summary>
    HoleInShell,

    /// <summary>Centre lines and edges to measure from.</summary>
    Datum,

    /// <summary>Words.</summary>
    Text,
}

/// <summary>A straight line on paper, mm: X to the right, Y up.</summary>
/// <param name="Layer">What it stands for.</param>
/// <param name="X1Mm">One end.</param>
/// <param name="Y1Mm">One end.</param>
/// <param name="X2Mm">Other end.</param>
/// <param name="Y2Mm">Other end.</param>
public sealed record DrawnLine(Layer Layer, double X1Mm, double Y1Mm, double X2Mm, double Y2Mm);

/// <summary>An arc on paper, anticlockwise from one angle to the other; a full circle from 0 to 360.</summary>
/// <param name="Layer">What it stands for.</param>
/// <param name="XMm">Centre, mm.</param>
/// <param name="YMm">Centre, mm.</param>
/// <param name="RadiusMm">Radius, mm.</param>
/// <param name="StartDeg">Where it starts, degrees from the X axis.</param>
/// <param name="EndDeg">Where it ends, degrees from the X axis; greater than <paramref name="StartDeg"/>.</param>
public sealed record DrawnArc(Layer Layer, double XMm, double YMm, double RadiusMm, double StartDeg = 0, double EndDeg = 360)
{
    /// <summary>Whether it closes on itself.</summary>
    public bool IsCircle => EndDeg - StartDeg >= 360;
}

/// <summary>Words on paper, their foot starting or centred at a place.</summary>
/// <param name="Layer">What they belong to.</param>
/// <param name="XMm">Where, mm.</param>
/// <param name="YMm">Where, mm.</param>
/// <param name="HeightMm">Height of a capital, mm.</param>
/// <param name="Text">The words.</param>
/// <param name="Centred">Whether they are centred at the place; otherwise they start there.</param>
public sealed record DrawnText(Layer Layer, double XMm, double YMm, double HeightMm, string Text, bool Centred = false);

/// <summary>A drawing in true scale that can be written to any format.</summary>
/// <param name="Title">What it shows.</param>
/// <param name="View">From which side.</param>
/// <param name="Lines">Straight lines.</param>
/// <param name="Arcs">Arcs and circles.</param>
/// <param name="Texts">Words.</param>
public sealed record Drawing(
    string Title,
    ViewedFrom View,
    IReadOnlyList<DrawnLine> Lines,
    IReadOnlyList<DrawnArc> Arcs,
    IReadOnlyList<DrawnText> Texts
)
{
    /// <summary>The smallest rectangle around lines and arcs (arcs as whole circles), mm.</summary>
    public PanelBox Bounds =>
        PanelBox.Of(
            Lines
                .SelectMany(l => new[] { new PanelPoint(l.X1Mm, l.Y1Mm), new PanelPoint(l.X2Mm, l.Y2Mm) })
                .Concat(
                    Arcs.SelectMany(a =>
                        new[] { new PanelPoint(a.XMm - a.RadiusMm, a.YMm - a.RadiusMm), new PanelPoint(a.XMm + a.RadiusMm, a.YMm + a.RadiusMm) }
                    )
                )
        );
}
