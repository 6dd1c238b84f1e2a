using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Seating;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Stores;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>An opening with all that was worked out of it: what every phase of its procedure reads.</summary>
/// <param name="Asked">What the procedure is made from.</param>
/// <param name="Marked">What is marked.</param>
/// <param name="Seat">How the flange sits.</param>
/// <param name="Frame">The frame below it.</param>
/// <param name="Verdict">Judgement of the place.</param>
/// <param name="Product">What beds or bonds it; null where nothing that is known suits.</param>
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
    /// <summary>What one person lifts to arm's length, kg: assumption, on the safe side of what handling guides allow.</summary>
    private const double LiftKg = 12;

    /// <summary>The fitting, turned as it is placed.</summary>
    public Fitting Fitting { get; } = Asked.Site.Fitting.Turned(Asked.Site.TurnDeg);

    public Panel Panel => Asked.Site.Panel;

    public Schools Schools => Asked.Schools;

    public LengthFormat Lengths => Asked.Site.Lengths ?? LengthFormat.Millimetres;

    /// <summary>How the skin is worked.</summary>
    public SkinWork Skin { get; } = SkinWork.Of(Asked.Site.Panel);

    public bool Steel => Panel.Material is SkinMaterial.MildSteel or SkinMaterial.GalvanisedSteel;

    public bool Roof => Panel.Facing == Facing.Up;

    /// <summary>In a floor.</summary>
    public bool Below => Panel.Facing == Facing.Down;

    /// <summary>Where one works on the outside.</summary>
    public WorkPlace Out => Roof ? WorkPlace.Roof : WorkPlace.Outside;

    public Caution[] OutCautions =>
        Roof ? [Cautions.OnTheRoof]
        : Below ? [Cautions.UnderTheVehicle]
        : [];

    public WeatherNeeds Dry => new(true, Roof ? 8 : null, null, null);

    /// <summary>Bedding and bonding: dry, and warm enough for the product.</summary>
    public WeatherNeeds Laying => Dry with { FromC = Product?.LayFromC ?? 5, ToC = Product?.LayToC ?? 35 };

    /// <summary>Length of all cuts, mm: each skin by itself.</summary>
    public double CutMm => Panel.SkinGapMm is null ? Marked.PerimeterMm : 2 * Marked.PerimeterMm;

    /// <summary>Blades for them, one to spare.</summary>
    public int Blades => BladeLife.Of(new BladeQuestion(Panel.Material, Math.Max(0.3, Panel.SkinMm), CutMm)).Result.Blades;

    /// <summary>How many lift it.</summary>
    public int LiftPeople => Math.Max(1, (int)Math.Ceiling(Fitting.MassKg / LiftKg));

    public bool Heavy => LiftPeople > 1;

    public Caution[] LiftCautions => Heavy ? [Cautions.HeavyLift] : [];

    /// <summary>Whether two halves clamp the wall.</summary>
    public bool Clamped => Fitting is { Clamp: not null, Kind: not (FittingKind.GasketWindow or FittingKind.BondedWindow) };

    /// <summary>Whether nothing but its own gasket seals it: it comes with one, or its rubber holds the pane.</summary>
    public bool OwnGasket => Fitting.Kind == FittingKind.GasketWindow || Fitting is { Kind: FittingKind.RoofUnit, Halves.GasketMm: > 0 };

    /// <summary>Whether it is bedded in tape.</summary>
    public bool Taped => !OwnGasket && Product is { Family: ProductFamily.ButylTape };

    /// <summary>Whether an adhesive has to hold on the coat of the edge.</summary>
    public bool Sticks => Fitting.Kind == FittingKind.BondedWindow || (!OwnGasket && Product is { Structural: true });

    public Caution[] RefusedCaution => Refused is null ? [] : [Cautions.ProductRefused(Refused)];

    /// <summary>What the product's sheet warns of; isocyanates with every polyurethane.</summary>
    public IEnumerable<Caution> ProductCautions
    {
        get
        {
            if (Product is not { } p || OwnGasket)
                yield break;
            if (p.Hazards.Length > 0)
                yield return Cautions.OfProduct(p.Hazards);
            if (
                p.Family is ProductFamily.PolyurethaneAdhesive or ProductFamily.MarinePolyurethane
                && !p.Hazards.Contains("isocyanat", StringComparison.OrdinalIgnoreCase)
            )
                yield return Cautions.Isocyanates;
        }
    }

    /// <summary>What a pane of plastic must not meet.</summary>
    public Caution[] PaneCautions =>
        Fitting.Bonded?.Pane is Pane.Acrylic or Pane.Polycarbonate ? [Cautions.PlasticCrazes]
        : Fitting.Kind == FittingKind.HingedWindow ? [Cautions.PlasticPane]
        : [];

    public string Text(double mm) => Lengths.Text(mm);
}
