using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using FluentValidation;

namespace Abri.Server.Api;

internal sealed class LengthFormatValidator : AbstractValidator<LengthFormat>
{
    public LengthFormatValidator() => RuleFor(x => x.InchDenominator).Must(d => d is 16 or 32).WithMessage("Inches are shown in sixteenths or thirty-seconds: 16 or 32.");
}

internal sealed class PanelPointValidator : AbstractValidator<PanelPoint>
{
    public PanelPointValidator()
    {
        RuleFor(x => x.SMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "A distance along", "mm");
        RuleFor(x => x.TMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "A distance across", "mm");
    }
}

internal sealed class RoundedRectangleValidator : AbstractValidator<RoundedRectangle>
{
    public RoundedRectangleValidator()
    {
        RuleFor(x => x.WidthMm).Between(20, 5000, "A width", "mm");
        RuleFor(x => x.HeightMm).Between(20, 5000, "A height", "mm");
        RuleFor(x => x.CornerRadiusMm).Between(0, 2500, "A corner radius", "mm");
    }
}

internal sealed class PerSideValidator : AbstractValidator<PerSide>
{
    public PerSideValidator()
    {
        RuleFor(x => x.FrontMm).Between(0, 2000, "The figure at the front", "mm");
        RuleFor(x => x.RearMm).Between(0, 2000, "The figure at the rear", "mm");
        RuleFor(x => x.TopMm).Between(0, 2000, "The figure at the top (left)", "mm");
        RuleFor(x => x.BottomMm).Between(0, 2000, "The figure at the bottom (right)", "mm");
    }
}

internal sealed class SchoolsValidator : AbstractValidator<Schools>;

internal sealed class VehicleValidator : AbstractValidator<Vehicle>
{
    public VehicleValidator()
    {
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.Notes).Notes();
        RuleFor(x => x.Year).Must(y => y is null or (>= 1900 and <= 2100)).WithMessage("The year must lie between 1900 and 2100.");
        RuleFor(x => x.InchDenominator).Must(d => d is 16 or 32).WithMessage("Inches are shown in sixteenths or thirty-seconds: 16 or 32.");
        RuleFor(x => x.MarkerOffsetMm).Between(0, 20, "The pencil's offset", "mm");
    }
}

internal sealed class PanelValidator : AbstractValidator<Panel>
{
    public PanelValidator()
    {
        RuleFor(x => x.Outline).Must(o => o.Count is >= 3 and <= Ranges.MostPoints).WithMessage($"An outline has 3 to {Ranges.MostPoints} corners.");
        RuleForEach(x => x.Outline).SetValidator(new PanelPointValidator());
        RuleFor(x => x.SkinMm).Between(0.3, 50, "The skin's thickness", "mm");
        RuleFor(x => x.ArcRadiusAlongMm).Between(200, 1_000_000, "The radius along", "mm");
        RuleFor(x => x.ArcRadiusAcrossMm).Between(200, 1_000_000, "The radius across", "mm");
    }
}

internal sealed class FootprintValidator : AbstractValidator<Footprint>
{
    public FootprintValidator()
    {
        RuleFor(x => x.Points).Must(p => p.Count is >= 2 and <= Ranges.MostPoints).WithMessage($"A footprint has 2 to {Ranges.MostPoints} points.");
        RuleForEach(x => x.Points).SetValidator(new PanelPointValidator());
        RuleFor(x => x.WidthMm).Between(0, 2000, "A width", "mm");
    }
}

internal sealed class MemberValidator : AbstractValidator<Member>
{
    public MemberValidator()
    {
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.Footprint).SetValidator(new FootprintValidator());
        RuleFor(x => x.DepthMm).Between(-100, 500, "The depth", "mm");
    }
}

internal sealed class ZoneValidator : AbstractValidator<Zone>
{
    public ZoneValidator()
    {
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.XMaxMm).GreaterThan(x => x.XMinMm).WithMessage("The rear of a zone must lie behind its front.");
        RuleFor(x => x.YMaxMm).GreaterThan(x => x.YMinMm).WithMessage("The left edge of a zone must lie to the left of its right edge.");
        RuleFor(x => x.ZMaxMm).GreaterThan(x => x.ZMinMm).WithMessage("The top of a zone must lie above its foot.");
        RuleFor(x => x.XMinMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "The front", "mm");
        RuleFor(x => x.XMaxMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "The rear", "mm");
        RuleFor(x => x.YMinMm).Between(-5000, 5000, "The right edge", "mm");
        RuleFor(x => x.YMaxMm).Between(-5000, 5000, "The left edge", "mm");
        RuleFor(x => x.ZMinMm).Between(-2000, 5000, "The foot", "mm");
        RuleFor(x => x.ZMaxMm).Between(-2000, 5000, "The top", "mm");
    }
}

internal sealed class FittingValidator : AbstractValidator<Fitting>
{
    public FittingValidator()
    {
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.CutOut).SetValidator(new RoundedRectangleValidator());
        RuleFor(x => x.Neck).SetValidator(new RoundedRectangleValidator());
        RuleFor(x => x.Flange).SetValidator(new RoundedRectangleValidator());
        RuleFor(x => x.ToleranceMinusMm).Between(0, 20, "How much smaller the hole may be", "mm");
        RuleFor(x => x.TolerancePlusMm).Between(0, 20, "How much larger the hole may be", "mm");
        RuleFor(x => x.LeastLapMm).Between(0, 300, "The least lap", "mm");
        RuleFor(x => x.Clearance).SetValidator(new PerSideValidator());
        RuleFor(x => x.Sweep).SetValidator(new PerSideValidator());
        RuleFor(x => x.MassKg).Between(0, 300, "The mass", "kg");
        RuleFor(x => x.FlatnessMm).Between(0, 50, "The unevenness that it takes", "mm");
        RuleFor(x => x.BeddingMostMm).Between(0, 100, "The greatest depth of bedding", "mm");
        When(x => x.Clamp is not null, () =>
        {
            RuleFor(x => x.Clamp!.LeastMm).Between(0.5, 300, "The thinnest wall", "mm");
            RuleFor(x => x.Clamp!.MostMm).Between(0.5, 300, "The thickest wall", "mm");
        });
        When(x => x.Screws is not null, () =>
        {
            RuleFor(x => x.Screws!.AlongWidth).Between(2, 40, "The number of screws along the width, corners included,");
            RuleFor(x => x.Screws!.AlongHeight).Between(0, 40, "The number of screws along the height");
            RuleFor(x => x.Screws!.InsetMm).Between(1, 200, "The screw line's distance from the edge", "mm");
            RuleFor(x => x.Screws!.PilotMm).Between(0.5, 20, "The pilot hole", "mm");
        });
    }
}

internal sealed class AsCutValidator : AbstractValidator<AsCut>
{
    public AsCutValidator()
    {
        RuleFor(x => x.TopWidthMm).Between(10, 6000, "A measured width", "mm");
        RuleFor(x => x.BottomWidthMm).Between(10, 6000, "A measured width", "mm");
        RuleFor(x => x.FrontHeightMm).Between(10, 6000, "A measured height", "mm");
        RuleFor(x => x.RearHeightMm).Between(10, 6000, "A measured height", "mm");
        RuleFor(x => x.RisingDiagonalMm).Between(10, 9000, "A measured diagonal", "mm");
        RuleFor(x => x.FallingDiagonalMm).Between(10, 9000, "A measured diagonal", "mm");
    }
}

internal sealed class OpeningValidator : AbstractValidator<Opening>
{
    public OpeningValidator()
    {
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.Notes).Notes();
        RuleFor(x => x.Centre).SetValidator(new PanelPointValidator());
        RuleFor(x => x.TurnDeg).QuarterTurn();
        RuleFor(x => x.WallMm).Between(0.3, 300, "The wall's thickness", "mm");
        RuleFor(x => x.AsCut!).SetValidator(new AsCutValidator()).When(x => x.AsCut is not null);
    }
}

internal sealed class SiteValidator : AbstractValidator<Site>
{
    public SiteValidator()
    {
        RuleFor(x => x.Panel).SetValidator(new PanelValidator());
        RuleFor(x => x.Members).Must(m => m.Count <= Ranges.MostMembers).WithMessage($"A panel has at most {Ranges.MostMembers} members.");
        RuleForEach(x => x.Members).Given().SetValidator(new MemberValidator());
        RuleFor(x => x.Fitting).SetValidator(new FittingValidator());
        RuleFor(x => x.TurnDeg).QuarterTurn();
        RuleFor(x => x.WallMm).Between(0.3, 300, "The wall's thickness", "mm");
        RuleFor(x => x.Neighbours).Must(n => n is null || n.Count <= 100).WithMessage("A panel has at most 100 openings.");
        RuleForEach(x => x.Neighbours).Given().ChildRules(n =>
        {
            n.RuleFor(x => x.Name).Name();
            n.RuleFor(x => x.Fitting).SetValidator(new FittingValidator());
            n.RuleFor(x => x.Centre).SetValidator(new PanelPointValidator());
            n.RuleFor(x => x.TurnDeg).QuarterTurn();
        });
        RuleFor(x => x.Zones).Must(z => z is null || z.Count <= 100).WithMessage("A vehicle has at most 100 zones.");
        RuleForEach(x => x.Zones).Given().SetValidator(new ZoneValidator());
        RuleFor(x => x.Lengths!).SetValidator(new LengthFormatValidator()).When(x => x.Lengths is not null);
    }
}
