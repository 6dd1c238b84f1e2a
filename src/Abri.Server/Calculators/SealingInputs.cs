using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Clamping;
using Abri.Core.Openings.Seating;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Server.Api;
using Abri.Server.Sealing;
using FluentValidation;

namespace Abri.Server.Calculators;

/// <summary>Input of the calculator <c>resting-plane</c>.</summary>
/// <param name="Samples">Places under the frame.</param>
/// <param name="Weight">Where the frame's weight acts.</param>
public sealed record RestingPlaneInput(IReadOnlyList<SurfacePoint> Samples, PanelPoint Weight);

/// <summary>Input of the calculator <c>seat</c>: the resting plane of a fitting on its panel with gaps and tape plan.</summary>
/// <param name="Site">What decides.</param>
/// <param name="Centre">The place.</param>
/// <param name="Tape">The bedding tape; null for the usual one.</param>
public sealed record SeatInput(Site Site, PanelPoint Centre, BeddingTape? Tape = null);

/// <summary>Input of the calculator <c>clamp-stack</c>.</summary>
/// <param name="Layers">The layers between the two halves.</param>
/// <param name="NominalGapMm">Gap between the halves with full lugs, mm.</param>
/// <param name="Range">Wall thicknesses that the fitting grips.</param>
/// <param name="Lugs">Number of lugs.</param>
/// <param name="Screws">The fitting's table of screws; may be empty.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record ClampStackInput(IReadOnlyList<ClampLayer> Layers, double NominalGapMm, ClampRange Range, int Lugs, IReadOnlyList<ScrewForWall> Screws, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>tightening-order</c>.</summary>
/// <param name="Screws">Where the screws are; null where they lie evenly round a frame.</param>
/// <param name="Frame">The line on which they lie evenly; null where their places are given.</param>
/// <param name="Count">How many lie evenly round the frame.</param>
public sealed record TighteningOrderInput(IReadOnlyList<PanelPoint>? Screws = null, RoundedRectangle? Frame = null, int? Count = null)
{
    internal IReadOnlyList<PanelPoint> Places => Screws ?? (Frame is null ? [] : TighteningOrder.Around(Frame, Count ?? 0));
}

/// <summary>Input of the calculator <c>gasket</c>.</summary>
/// <param name="BeforeMm">Gaps before tightening, mm.</param>
/// <param name="AfterMm">Gaps at the same places after it, mm.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record GasketInput(IReadOnlyList<double> BeforeMm, IReadOnlyList<double> AfterMm, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>bead</c>.</summary>
/// <param name="Bead">The bead.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record BeadPlanInput(BeadInput Bead, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>bond-thickness</c>.</summary>
/// <param name="First">What the one part is made of.</param>
/// <param name="Second">What the other is made of.</param>
/// <param name="LengthMm">Longest dimension, mm.</param>
/// <param name="SpanK">Span of temperature, K.</param>
/// <param name="Strain">Allowed shear strain.</param>
public sealed record BondThicknessInput(Part First, Part Second, double LengthMm, double SpanK, double Strain = BondThickness.UsualStrain);

/// <summary>Input of the calculator <c>absolute-humidity</c>.</summary>
/// <param name="AirC">Temperature of the air, C.</param>
/// <param name="RelativePercent">Relative humidity, %.</param>
public sealed record AirInput(double AirC, double RelativePercent);

/// <summary>Input of the calculator <c>dew-point</c>.</summary>
/// <param name="AirC">Temperature of the air, C.</param>
/// <param name="RelativePercent">Relative humidity, %.</param>
/// <param name="SurfaceC">Temperature of the surface to be coated, C; null where nobody measured it.</param>
public sealed record DewPointInput(double AirC, double RelativePercent, double? SurfaceC = null);

/// <summary>Input of the calculator <c>sealant-choice</c>.</summary>
/// <param name="Joint">The joint.</param>
/// <param name="Products">The products at hand.</param>
/// <param name="Bedding">The school for roof flanges.</param>
/// <param name="AirC">Temperature at which it is laid, C; null where that is open.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record SealantChoiceInput(Joint Joint, IReadOnlyList<Product> Products, FlangeBedding Bedding, double? AirC = null, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>cure</c>.</summary>
/// <param name="Product">The product.</param>
/// <param name="WidthMm">Width of the bead from its open face, mm.</param>
/// <param name="OpenFaces">Faces open to the air: 1 or 2.</param>
/// <param name="Weather">Air of each hour from when it is laid; one hour alone stands for steady air.</param>
public sealed record CureInput(Product Product, double WidthMm, int OpenFaces, IReadOnlyList<AirHour> Weather);

/// <summary>Input of the calculator <c>open-time</c>.</summary>
/// <param name="Product">The product.</param>
/// <param name="Air">Today's air.</param>
/// <param name="LayMinutes">Minutes to lay the bead; null where that is open.</param>
public sealed record OpenTimeInput(Product Product, AirHour Air, double? LayMinutes = null);

/// <summary>Input of the calculator <c>pot-life</c>.</summary>
/// <param name="MinutesAt23C">Pot life of the data sheet at 23 C, min.</param>
/// <param name="AirC">Temperature, C.</param>
/// <param name="Grams">Mass mixed at once, g.</param>
public sealed record PotLifeInput(double MinutesAt23C, double AirC, double Grams);

internal sealed class RestingPlaneInputValidator : AbstractValidator<RestingPlaneInput>
{
    public RestingPlaneInputValidator()
    {
        RuleFor(x => x.Weight).SetValidator(new PanelPointValidator());
        RuleForEach(x => x.Samples).ChildRules(p =>
        {
            p.RuleFor(x => x.SMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "A distance along", "mm");
            p.RuleFor(x => x.TMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "A distance across", "mm");
            p.RuleFor(x => x.HeightMm).Between(-2000, 2000, "A height", "mm");
        });
    }
}

internal sealed class SeatInputValidator : AbstractValidator<SeatInput>
{
    public SeatInputValidator()
    {
        RuleFor(x => x.Site).SetValidator(new SiteValidator());
        RuleFor(x => x.Centre).SetValidator(new PanelPointValidator());
        RuleFor(x => x.Tape!).SetValidator(new BeddingTapeValidator()).When(x => x.Tape is not null);
    }
}

internal sealed class ClampStackInputValidator : AbstractValidator<ClampStackInput>
{
    public ClampStackInputValidator()
    {
        RuleFor(x => x.Layers).Must(l => l.Count <= 20).WithMessage("A stack has at most 20 layers.");
        RuleForEach(x => x.Layers).Given().SetValidator(new ClampLayerValidator());
        RuleFor(x => x.NominalGapMm).Between(0, 500, "The nominal gap", "mm");
        RuleFor(x => x.Range.LeastMm).Between(0, 500, "The thinnest wall", "mm");
        RuleFor(x => x.Range.MostMm).Between(0, 500, "The thickest wall", "mm");
        RuleFor(x => x.Lugs).Between(0, 100, "The number of lugs");
        RuleFor(x => x.Screws).Must(s => s.Count <= 20).WithMessage("A table has at most 20 screws.");
        RuleForEach(x => x.Screws).Given().SetValidator(new ScrewForWallValidator());
    }
}

internal sealed class TighteningOrderInputValidator : AbstractValidator<TighteningOrderInput>
{
    public TighteningOrderInputValidator()
    {
        RuleForEach(x => x.Screws).SetValidator(new PanelPointValidator());
        RuleFor(x => x.Frame!).SetValidator(new RoundedRectangleValidator()).When(x => x.Frame is not null);
        RuleFor(x => x.Count ?? 0).Between(0, 1000, "The number of screws");
    }
}

internal sealed class GasketInputValidator : AbstractValidator<GasketInput>
{
    public GasketInputValidator()
    {
        RuleFor(x => x.BeforeMm).Must(b => b.Count <= 100).WithMessage("At most 100 places are measured.");
        RuleForEach(x => x.BeforeMm).Between(-1000, 1000, "A gap", "mm");
        RuleForEach(x => x.AfterMm).Between(-1000, 1000, "A gap", "mm");
    }
}

internal sealed class BeadPlanInputValidator : AbstractValidator<BeadPlanInput>
{
    public BeadPlanInputValidator() => RuleFor(x => x.Bead).SetValidator(new BeadInputValidator());
}

internal sealed class BeadInputValidator : AbstractValidator<BeadInput>
{
    public BeadInputValidator()
    {
        RuleFor(x => x.PathMm).Between(1, 200_000, "The path", "mm");
        RuleFor(x => x.NotchBaseMm).Between(0.5, 60, "The notch's base", "mm");
        RuleFor(x => x.NotchHeightMm).Between(0.5, 60, "The notch's height", "mm");
        RuleFor(x => x.SqueezedMm).Between(0.2, 50, "The squeezed thickness", "mm");
        RuleFor(x => x.LandMm).Between(1, 500, "The land", "mm");
        RuleFor(x => x.CartridgeMl).Between(1, 20_000, "The cartridge", "ml");
        RuleFor(x => x.WastePercent).Between(0, 200, "The waste", "%");
        RuleFor(x => x.LayMmPerMinute).Between(10, 20_000, "The pace", "mm/min");
        RuleFor(x => x.OpenMinutes).Between(0.5, 1440, "The open time", "min");
    }
}

internal sealed class BondThicknessInputValidator : AbstractValidator<BondThicknessInput>
{
    public BondThicknessInputValidator()
    {
        RuleFor(x => x.LengthMm).Between(1, Ranges.LongestMm, "The length", "mm");
        RuleFor(x => x.SpanK).Between(0, 200, "The span of temperature", "K");
        RuleFor(x => x.Strain).Between(0.01, 5, "The allowed strain", "");
    }
}

internal sealed class DewPointInputValidator : AbstractValidator<DewPointInput>
{
    public DewPointInputValidator()
    {
        RuleFor(x => x.AirC).Between(-40, 80, "The temperature", "C");
        RuleFor(x => x.SurfaceC).Between(-40, 120, "The surface's temperature", "C");
    }
}

internal sealed class AirInputValidator : AbstractValidator<AirInput>
{
    public AirInputValidator() => RuleFor(x => x.AirC).Between(-40, 80, "The temperature", "C");
}

internal sealed class SealantChoiceInputValidator : AbstractValidator<SealantChoiceInput>
{
    public SealantChoiceInputValidator()
    {
        RuleFor(x => x.Joint).SetValidator(new JointValidator());
        RuleFor(x => x.Products).Must(p => p.Count <= 200).WithMessage("At most 200 products are weighed.");
        RuleForEach(x => x.Products).Given().SetValidator(new ProductValidator());
        RuleFor(x => x.AirC).Between(-40, 80, "The temperature", "C");
        RuleFor(x => x.Lengths!).SetValidator(new LengthFormatValidator()).When(x => x.Lengths is not null);
    }
}

internal sealed class AirHourValidator : AbstractValidator<AirHour>
{
    public AirHourValidator()
    {
        RuleFor(x => x.AirC).Between(-40, 80, "The temperature", "C");
        RuleFor(x => x.RelativePercent).Between(0, 100, "The humidity", "%");
    }
}

internal sealed class CureInputValidator : AbstractValidator<CureInput>
{
    public CureInputValidator()
    {
        RuleFor(x => x.Product).SetValidator(new ProductValidator());
        RuleFor(x => x.WidthMm).Between(0, 100, "The bead's width", "mm");
        RuleFor(x => x.Weather).Must(w => w.Count <= 10_000).WithMessage($"At most {Cure.MostHours} hours of weather are followed.");
        RuleForEach(x => x.Weather).Given().SetValidator(new AirHourValidator());
    }
}

internal sealed class OpenTimeInputValidator : AbstractValidator<OpenTimeInput>
{
    public OpenTimeInputValidator()
    {
        RuleFor(x => x.Product).SetValidator(new ProductValidator());
        RuleFor(x => x.Air).SetValidator(new AirHourValidator());
        RuleFor(x => x.LayMinutes).Between(0, 1440, "The time to lay it", "minutes");
    }
}

internal sealed class PotLifeInputValidator : AbstractValidator<PotLifeInput>
{
    public PotLifeInputValidator()
    {
        RuleFor(x => x.MinutesAt23C).Between(1, 1440, "The pot life", "minutes");
        RuleFor(x => x.AirC).Between(-20, 60, "The temperature", "C");
        RuleFor(x => x.Grams).Between(1, 20_000, "The mass", "g");
    }
}
