using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Together;
using Abri.Core.Openings.Seating;
using Abri.Core.Procedures;
using Abri.Server.Api;
using Abri.Server.Sealing;
using FluentValidation;

namespace Abri.Server.Calculators;

/// <summary>Input of the calculator <c>openings-together</c>.</summary>
/// <param name="Site">The panel, and what is to be placed on it.</param>
public sealed record OpeningsTogetherInput(TogetherSite Site);

/// <summary>Input of the calculator <c>draught</c>.</summary>
/// <param name="Ways">What moves or lets through air.</param>
/// <param name="Sources">Where damp or dust arises.</param>
/// <param name="VolumeM3">Volume of the inside, m3.</param>
/// <param name="FloorAreaM2">Floor area, m2.</param>
public sealed record DraughtInput(IReadOnlyList<AirWay> Ways, IReadOnlyList<AirSource> Sources, double VolumeM3, double FloorAreaM2);

/// <summary>Input of the calculator <c>sill-taper</c>.</summary>
/// <param name="LengthMm">Length of the sill, mm.</param>
/// <param name="TaperDeg">Angle of the wall in plan, degrees; positive where the vehicle narrows to the rear.</param>
/// <param name="FrontMm">Depth at the front end, mm.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record SillTaperInput(double LengthMm, double TaperDeg, double FrontMm, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>inner-frame</c>.</summary>
/// <param name="Site">What decides.</param>
/// <param name="Centre">The place.</param>
public sealed record InnerFrameInput(Site Site, PanelPoint Centre);

/// <summary>Input of the calculator <c>tape-plan</c>.</summary>
/// <param name="Sides">Gaps along the sides of the flange.</param>
/// <param name="Tape">The tape; null for the usual one.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record TapePlanInput(IReadOnlyList<SeatSide> Sides, BeddingTape? Tape = null, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>opening-procedure</c>.</summary>
/// <param name="Work">What the procedure is made from.</param>
public sealed record OpeningProcedureInput(OpeningWork Work);

internal sealed class WishValidator : AbstractValidator<Wish>
{
    public WishValidator()
    {
        RuleFor(x => x.Weight).Between(0, 100, "A wish's weight", "");
        RuleFor(x => x.AtMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "The line", "mm");
    }
}

internal sealed class NeighbourValidator : AbstractValidator<Neighbour>
{
    public NeighbourValidator()
    {
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.Fitting).SetValidator(new FittingValidator());
        RuleFor(x => x.Centre).SetValidator(new PanelPointValidator());
        RuleFor(x => x.TurnDeg).QuarterTurn();
    }
}

internal sealed class OpeningsTogetherInputValidator : AbstractValidator<OpeningsTogetherInput>
{
    public OpeningsTogetherInputValidator() => RuleFor(x => x.Site).ChildRules(site =>
    {
        site.RuleFor(x => x.Panel).SetValidator(new PanelValidator());
        site.RuleFor(x => x.Members).Members();
        site.RuleFor(x => x.SpacingMm).Between(0, 2000, "The room between two flanges", "mm");
        site.RuleFor(x => x.Fittings).Must(f => f.Count <= 100).WithMessage($"At most {PlacingTogether.Most} fittings are placed together.");
        site.RuleForEach(x => x.Fittings).Given().ChildRules(f =>
        {
            f.RuleFor(x => x.Name).Name();
            f.RuleFor(x => x.Fitting).SetValidator(new FittingValidator());
            f.RuleFor(x => x.TurnDeg).QuarterTurn();
            f.RuleFor(x => x.Wishes).Must(w => w.Count <= 20).WithMessage("At most 20 wishes can be weighed.");
            f.RuleForEach(x => x.Wishes).Given().SetValidator(new WishValidator());
        });
        site.RuleFor(x => x.Neighbours).Must(n => n is null || n.Count <= 100).WithMessage("A panel has at most 100 openings.");
        site.RuleForEach(x => x.Neighbours).Given().SetValidator(new NeighbourValidator());
        site.RuleFor(x => x.Zones).Must(z => z is null || z.Count <= 100).WithMessage("A vehicle has at most 100 zones.");
        site.RuleForEach(x => x.Zones).Given().SetValidator(new ZoneValidator());
        site.RuleFor(x => x.Lengths!).SetValidator(new LengthFormatValidator()).When(x => x.Lengths is not null);
        site.RuleFor(x => x.Doors).Must(d => d is null || d.Count <= 10).WithMessage("A vehicle has at most 10 sliding doors.");
        site.RuleForEach(x => x.Doors).Given().SetValidator(new PanelValidator());
    });
}

internal sealed class DraughtInputValidator : AbstractValidator<DraughtInput>
{
    public DraughtInputValidator()
    {
        RuleFor(x => x.VolumeM3).Between(0, 1000, "The volume", "m3");
        RuleFor(x => x.FloorAreaM2).Between(0, 200, "The floor area", "m2");
        RuleFor(x => x.Ways).Must(w => w.Count <= 100).WithMessage("At most 100 ways of air are weighed.");
        RuleForEach(x => x.Ways).Given().ChildRules(w =>
        {
            w.RuleFor(x => x.Name).Name();
            w.RuleFor(x => x.Place).SetValidator(new PanelPointValidator());
            w.RuleFor(x => x.FlowM3h).Between(0, 5000, "What a fan moves", "m3/h");
            w.RuleFor(x => x.FreeAreaMm2).Between(0, 1_000_000, "A free area", "mm2");
        });
        RuleFor(x => x.Sources).Must(s => s.Count <= 100).WithMessage("At most 100 sources are weighed.");
        RuleForEach(x => x.Sources).Given().ChildRules(s =>
        {
            s.RuleFor(x => x.Name).Name();
            s.RuleFor(x => x.Place).SetValidator(new PanelPointValidator());
        });
    }
}

internal sealed class SillTaperInputValidator : AbstractValidator<SillTaperInput>
{
    public SillTaperInputValidator()
    {
        RuleFor(x => x.LengthMm).Between(1, Ranges.LongestMm, "The sill's length", "mm");
        RuleFor(x => x.TaperDeg).Between(-45, 45, "The taper", "degrees");
        RuleFor(x => x.FrontMm).Between(0, 2000, "The depth in front", "mm");
        RuleFor(x => x.Lengths!).SetValidator(new LengthFormatValidator()).When(x => x.Lengths is not null);
    }
}

internal sealed class InnerFrameInputValidator : AbstractValidator<InnerFrameInput>
{
    public InnerFrameInputValidator()
    {
        RuleFor(x => x.Site).SetValidator(new SiteValidator());
        RuleFor(x => x.Centre).SetValidator(new PanelPointValidator());
    }
}

internal sealed class BeddingTapeValidator : AbstractValidator<BeddingTape>
{
    public BeddingTapeValidator()
    {
        RuleFor(x => x.WidthMm).Between(5, 200, "The tape's width", "mm");
        RuleFor(x => x.ThickMm).Between(0.5, 50, "The tape's thickness", "mm");
        RuleFor(x => x.SqueezedShare).Between(0.1, 1, "What is left of it when squeezed", "");
    }
}

internal sealed class TapePlanInputValidator : AbstractValidator<TapePlanInput>
{
    public TapePlanInputValidator()
    {
        RuleFor(x => x.Sides).Must(s => s.Count <= 4).WithMessage("A flange has four sides.");
        RuleForEach(x => x.Sides).Given().ChildRules(s =>
        {
            s.RuleFor(x => x.LengthMm).Between(10, 6000, "A side", "mm");
            s.RuleFor(x => x.LandMm).Between(0, 300, "The land", "mm");
            s.RuleFor(x => x.MaxGapMm).Between(0, 200, "The greatest gap", "mm");
            s.RuleFor(x => x.Places).Must(p => p.Count <= 2000).WithMessage("At most 2000 places along a side.");
            s.RuleForEach(x => x.Places).ChildRules(p =>
            {
                p.RuleFor(x => x.AlongMm).Between(0, 6000, "A place along the side", "mm");
                p.RuleFor(x => x.SkinMm).Between(-2000, 2000, "A height of the skin", "mm");
                p.RuleFor(x => x.FrameMm).Between(-2000, 2000, "A height of the flange", "mm");
            });
        });
        RuleFor(x => x.Tape!).SetValidator(new BeddingTapeValidator()).When(x => x.Tape is not null);
    }
}

internal sealed class OpeningProcedureInputValidator : AbstractValidator<OpeningProcedureInput>
{
    public OpeningProcedureInputValidator() => RuleFor(x => x.Work).ChildRules(work =>
    {
        work.RuleFor(x => x.Name).Name();
        work.RuleFor(x => x.Site).SetValidator(new SiteValidator());
        work.RuleFor(x => x.Schools).SetValidator(new SchoolsValidator());
        work.RuleFor(x => x.Centre).SetValidator(new PanelPointValidator());
        work.RuleFor(x => x.Tape!).SetValidator(new BeddingTapeValidator()).When(x => x.Tape is not null);
        work.RuleFor(x => x.Product!).SetValidator(new ProductValidator()).When(x => x.Product is not null);
    });
}
