using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Seating;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>An opening with all that was worked out of it: what every phase of its procedure reads.</summary>
/// <param name="Asked">What the procedure is made from.</param>
/// <param name="Marked">What is marked.</param>
/// <param name="Seat">How the flange sits.</param>
/// <param name="Frame">The frame below it.</param>
/// <param name="Verdict">Judgement of the place.</param>
/// <param name="Product">What beds or bonds it; null where the school's bedding does.</param>
/// <param name="Refused">Why what was chosen does not go there; null where it does.</param>
internal sealed record OpeningPlan(
    OpeningWork Asked,
    SettingOutSheet Marked,
    Seat Seat,
    FramePlan Frame,
    Verdict Verdict,
    Product? Product,
    string? Refused
)
{
    /// <summary>The fitting, turned as it is placed.</summary>
    public Fitting Fitting { get; } = Asked.Site.Fitting.Turned(Asked.Site.TurnDeg);

    public Panel Panel => Asked.Site.Panel;

    public Schools Schools => Asked.Schools;

    public LengthFormat Lengths => Asked.Site.Lengths ?? LengthFormat.Millimetres;

    public bool Roof => Panel.Facing == Facing.Up;

    /// <summary>Where one works on the outside.</summary>
    public WorkPlace Out => Roof ? WorkPlace.Roof : WorkPlace.Outside;

    public Caution[] OutCautions => Roof ? [Cautions.OnTheRoof] : [];

    public WeatherNeeds Dry => new(true, Roof ? 8 : null, null, null);

    /// <summary>Bedding and bonding: dry, and warm enough for the product.</summary>
    public WeatherNeeds Laying => Dry with { FromC = Product?.LayFromC ?? 5, ToC = Product?.LayToC ?? 35 };

    public bool Heavy => Fitting.MassKg >= PlacingFigures.HeavyKg;

    public Caution[] RefusedCaution => Refused is null ? [] : [Cautions.ProductRefused(Refused)];

    public string Text(double mm) => Lengths.Text(mm);
}
