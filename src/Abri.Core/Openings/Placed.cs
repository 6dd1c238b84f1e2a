using Abri.Core.Geometry;

namespace Abri.Core.Openings;

/// <summary>A fitting laid at a place on its ground, as the rules look at it.</summary>
internal sealed class Placed(Ground ground, PanelPoint centre)
{
    public Ground Ground { get; } = ground;

    public PanelPoint Centre { get; } = centre;

    public Fitting Fitting => Ground.Fitting;

    public PanelBox Cut { get; } = ground.Fitting.CutOut.BoxAt(centre);

    public PanelBox Flange { get; } = ground.Fitting.Flange.BoxAt(centre);

    /// <summary>Members other than swages that reach into the cut-out.</summary>
    public IEnumerable<Obstacle> Crossing => Ground.Standing.Where(o => Clearances.Crosses(Cut, o));

    /// <summary>The nearest member on each side; swages do not count.</summary>
    public Dictionary<Side, NearestThing> Nearest { get; } =
        Clearances.Around(ground.Fitting.CutOut.BoxAt(centre), ground.Fitting.Clearance, ground.Standing);

    /// <summary>Writes a length for a sentence.</summary>
    public string L(double mm) => Ground.Lengths.Text(mm);
}
