using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Clamping;
using Abri.Core.Openings.Seating;
using Abri.Core.Sealing;
using Abri.Server.Api;
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
/// <param name="Screws">Where the screws are.</param>
public sealed record TighteningOrderInput(IReadOnlyList<PanelPoint> Screws);

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

/// <summary>Input of the calculator <c>moist-air</c>: absolute humidity and dew point.</summary>
/// <param name="AirC">Temperature of the air, C.</param>
/// <param name="RelativePercent">Relative humidity, %.</param>
public sealed record AirInput(double AirC, double RelativePercent);

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
        When(x => x.Tape is not null, () =>
        {
            RuleFor(x => x.Tape!.WidthMm).Between(5, 200, "The tape's width", "mm");
            RuleFor(x => x.Tape!.ThickMm).Between(0.5, 50, "The tape's thickness", "mm");
            RuleFor(x => x.Tape!.SqueezedShare).Between(0.1, 1, "What is left of it when squeezed", "");
        });
    }
}

internal sealed class ClampStackInputValidator : AbstractValidator<ClampStackInput>
{
    public ClampStackInputValidator()
    {
        RuleFor(x => x.Layers).Must(l => l.Count <= 20).WithMessage("A stack has at most 20 layers.");
        RuleForEach(x => x.Layers).Given().ChildRules(l =>
        {
            l.RuleFor(x => x.Name).Name();
            l.RuleFor(x => x.ThickMm).Between(-500, 500, "A layer", "mm");
        });
        RuleFor(x => x.NominalGapMm).Between(0, 500, "The nominal gap", "mm");
        RuleFor(x => x.Range.LeastMm).Between(0, 500, "The thinnest wall", "mm");
        RuleFor(x => x.Range.MostMm).Between(0, 500, "The thickest wall", "mm");
        RuleFor(x => x.Lugs).Between(0, 100, "The number of lugs");
        RuleFor(x => x.Screws).Must(s => s.Count <= 20).WithMessage("A table has at most 20 screws.");
        RuleForEach(x => x.Screws).Given();
    }
}

internal sealed class TighteningOrderInputValidator : AbstractValidator<TighteningOrderInput>
{
    public TighteningOrderInputValidator() => RuleForEach(x => x.Screws).SetValidator(new PanelPointValidator());
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

internal sealed class AirInputValidator : AbstractValidator<AirInput>
{
    public AirInputValidator() => RuleFor(x => x.AirC).Between(-40, 80, "The temperature", "C");
}
