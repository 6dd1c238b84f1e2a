using System.Text.RegularExpressions;
using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Clamping;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Shell.Presets;
using Abri.Server.Calculators;
using Abri.Server.Sealing;
using Abri.Server.Shell;
using Abri.Server.Water;
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

internal static partial class TimeZones
{
    /// <summary>Whether a name is that of a time zone; on a machine without a time-zone database, whether it looks like one.</summary>
    public static bool IsKnown(string name) =>
        Name().IsMatch(name) && (TimeZoneInfo.TryFindSystemTimeZoneById(name, out _) || !TimeZoneInfo.TryFindSystemTimeZoneById("Etc/UTC", out _));

    [GeneratedRegex(@"^[A-Za-z][A-Za-z0-9_+\-]{1,30}(/[A-Za-z0-9_+\-]{1,30}){0,2}$")]
    private static partial Regex Name();
}

internal sealed class VehicleValidator : AbstractValidator<Vehicle>
{
    public VehicleValidator()
    {
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.Notes).Notes();
        RuleFor(x => x.Year).Must(y => y is null or (>= 1900 and <= 2100)).WithMessage("The year must lie between 1900 and 2100.");
        RuleFor(x => x.InchDenominator).Must(d => d is 16 or 32).WithMessage("Inches are shown in sixteenths or thirty-seconds: 16 or 32.");
        RuleFor(x => x.MarkerOffsetMm).Between(0, 20, "The pencil's offset", "mm");
        RuleFor(x => x.TimeZone).Must(TimeZones.IsKnown).WithMessage((_, z) => $"\"{z}\" is not a time zone. Use a name such as Europe/Lisbon or Etc/UTC.");
        RuleFor(x => x.Place).ChildRules(place =>
        {
            place.RuleFor(x => x!.LatitudeDeg).Between(-90, 90, "The latitude", "degrees");
            place.RuleFor(x => x!.LongitudeDeg).Between(-180, 180, "The longitude", "degrees");
        }).When(x => x.Place is not null);
        RuleFor(x => x.Masses).ChildRules(masses =>
        {
            masses.RuleFor(x => x!.KerbKg).Between(50, 40_000, "The kerb mass", "kg");
            masses.RuleFor(x => x!.PermittedKg).Between(50, 40_000, "The permitted mass", "kg");
            masses.RuleFor(x => x!.FrontAxleKg).Between(20, 20_000, "The front axle's limit", "kg");
            masses.RuleFor(x => x!.RearAxleKg).Between(20, 30_000, "The rear axle's limit", "kg");
            masses.RuleFor(x => x!.WheelbaseMm).Between(500, 15_000, "The wheelbase", "mm");
        }).When(x => x.Masses is not null);
        RuleFor(x => x.Attitude!).SetValidator(new Calculators.AttitudeValidator()).When(x => x.Attitude is not null);
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
        RuleFor(x => x.SkinGapMm).Between(0.5, 300, "The gap between the skins", "mm");
        RuleFor(x => x.TaperDeg).Between(-45, 45, "The taper", "degrees");
        When(x => x.Name is not null, () => RuleFor(x => x.Name!).Name());
        RuleFor(x => x.Sections).Must(s => s is null || s.Count <= 200).WithMessage("A panel has at most 200 sections.");
        RuleForEach(x => x.Sections).Given().SetValidator(new SurfaceSectionValidator());
    }
}

internal sealed class SurfaceSectionValidator : AbstractValidator<SurfaceSection>
{
    public SurfaceSectionValidator()
    {
        RuleFor(x => x.StationMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "The station", "mm");
        RuleFor(x => x.StraightEdgeMm).Between(-2000, 2000, "The straight-edge's height", "mm");
        RuleFor(x => x.Readings).Must(r => r.Count is >= 2 and <= DepthPairs.Most).WithMessage($"A section has 2 to {DepthPairs.Most} readings.");
        RuleForEach(x => x.Readings).ChildRules(r =>
        {
            r.RuleFor(x => x.TMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "A place across", "mm");
            r.RuleFor(x => x.DepthMm).Between(-1000, 1000, "A depth", "mm");
        });
    }
}

internal sealed class FindingValidator : AbstractValidator<Finding>
{
    public FindingValidator()
    {
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.Notes).Notes();
        RuleFor(x => x.SeenBy).Must(s => s.Length <= 80).WithMessage("Who saw it may have at most 80 characters.");
        RuleFor(x => x.SeenAt).Must(t => t.Year is >= 1950 and <= 2150).WithMessage("The date must lie between 1950 and 2150.");
        RuleFor(x => x.Points).Must(p => p.Count is >= 1 and <= Ranges.MostPoints).WithMessage($"A finding has 1 to {Ranges.MostPoints} points.");
        RuleForEach(x => x.Points).SetValidator(new PanelPointValidator());
        RuleFor(x => x.Measures.LengthMm).Between(0, Ranges.LongestMm, "The length", "mm");
        RuleFor(x => x.Measures.WidthMm).Between(0, Ranges.LongestMm, "The width", "mm");
        RuleFor(x => x.Measures.DepthMm).Between(0, 1000, "The depth", "mm");
        RuleFor(x => x.Measures.MoisturePercent).Between(0, 200, "The moisture", "%");
    }
}

internal sealed class BoxSizeValidator : AbstractValidator<BoxSize>
{
    public BoxSizeValidator()
    {
        RuleFor(x => x.LengthMm).Between(500, Ranges.LongestMm, "The length", "mm");
        RuleFor(x => x.WidthMm).Between(500, 4000, "The width", "mm");
        RuleFor(x => x.HeightMm).Between(300, 4500, "The height", "mm");
    }
}

internal sealed class NewVehicleValidator : AbstractValidator<NewVehicle>
{
    public NewVehicleValidator()
    {
        RuleFor(x => x.Vehicle).SetValidator(new VehicleValidator());
        RuleFor(x => x.Box!).SetValidator(new BoxSizeValidator()).When(x => x.Box is not null);
    }
}

internal sealed class VehicleRecordValidator : AbstractValidator<VehicleRecord>
{
    public VehicleRecordValidator()
    {
        RuleFor(x => x.Vehicle).SetValidator(new VehicleValidator());
        RuleFor(x => x.Zones).Must(z => z.Count <= 100).WithMessage("A vehicle has at most 100 zones.");
        RuleForEach(x => x.Zones).Given().SetValidator(new ZoneValidator());
        RuleForEach(x => x.Fittings).Given().SetValidator(new KeyedValidator<Fitting>(new FittingValidator()));
        RuleForEach(x => x.LeakPriors).Given().SetValidator(new LeakPriorValidator());
        RuleFor(x => x.Products).Must(p => p is null || p.Count <= 200).WithMessage("At most 200 products travel with a vehicle.");
        RuleForEach(x => x.Products).Given().SetValidator(new KeyedValidator<Product>(new ProductValidator()));
        RuleFor(x => x.Panels).Must(p => p.Count <= 40).WithMessage("A vehicle has at most 40 panels.");
        RuleForEach(x => x.Panels).Given().ChildRules(p =>
        {
            p.RuleFor(x => x.Panel).SetValidator(new PanelValidator());
            p.RuleForEach(x => x.Members).Given().SetValidator(new KeyedValidator<Member>(new MemberValidator()));
            p.RuleForEach(x => x.Openings).Given().SetValidator(new KeyedValidator<Opening>(new OpeningValidator()));
            p.RuleForEach(x => x.Joints).Given().SetValidator(new JointValidator());
            p.RuleFor(x => x.Water!).SetValidator(new WaterRecordValidator()).When(x => x.Water is not null);
            p.RuleForEach(x => x.Findings).Given().ChildRules(f =>
            {
                f.RuleFor(x => x.Key).Name();
                f.RuleFor(x => x.Finding).SetValidator(new FindingValidator());
                f.RuleForEach(x => x.Photos).Given().ChildRules(photo =>
                {
                    photo.RuleFor(x => x.Sha256).Must(h => h.Length == 64 && h.All(char.IsAsciiHexDigitLower)).WithMessage("The hash of a photo has 64 hexadecimal digits.");
                    photo.RuleFor(x => x.Type).Must(t => t is "image/jpeg" or "image/png" or "image/webp").WithMessage("A photo is JPEG, PNG or WebP.");
                    photo.RuleFor(x => x.Caption).Must(c => c.Length <= 200).WithMessage("A caption has at most 200 characters.");
                    photo.RuleFor(x => x.Bytes).Must(b => b > 0).WithMessage("A photo has at least one byte.");
                });
            });
        });
    }
}

internal sealed class KeyedValidator<T> : AbstractValidator<Keyed<T>>
    where T : notnull
{
    public KeyedValidator(IValidator<T> value)
    {
        RuleFor(x => x.Key).Name();
        RuleFor(x => x.Value).SetValidator(value);
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
        RuleFor(x => x.FlankMm).Between(0, 300, "The flank's width", "mm");
    }
}

internal static class MemberRules
{
    /// <summary>The members of one panel: not too many, each by itself in range.</summary>
    public static void Members<T>(this IRuleBuilder<T, IReadOnlyList<Member>> rule) => rule
        .Must(m => m.Count <= Ranges.MostMembers).WithMessage($"A panel has at most {Ranges.MostMembers} members.")
        .ForEach(m => m.Given().SetValidator(new MemberValidator()));
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
        When(x => x.Halves is not null, () =>
        {
            RuleFor(x => x.Halves!.GapMm).Between(0, 300, "The gap between the halves", "mm");
            RuleFor(x => x.Halves!.Lugs).Between(0, 100, "The number of lugs");
            RuleFor(x => x.Halves!.GasketMm).Between(0, 60, "The gasket's free height", "mm");
            RuleFor(x => x.Halves!.Screws).Must(s => s.Count <= 20).WithMessage("A table has at most 20 screws.");
            RuleForEach(x => x.Halves!.Screws).Given().SetValidator(new ScrewForWallValidator());
            RuleFor(x => x.Halves!.ScrewPlaces).Must(p => p is null || p.Count <= 1000).WithMessage($"A frame has at most {TighteningOrder.Most} screws.");
            RuleForEach(x => x.Halves!.ScrewPlaces).SetValidator(new PanelPointValidator());
            RuleFor(x => x.Halves!.CornerScrewMm).Between(1, 200, "The corner screws' distance from the inner frame's edge", "mm");
            RuleFor(x => x.Halves!.InnerFrame!).SetValidator(new RoundedRectangleValidator()).When(x => x.Halves!.InnerFrame is not null);
        });
        When(x => x.Bonded is not null, () => RuleFor(x => x.Bonded!.LandMm).Between(1, 300, "The land", "mm"));
        When(x => x.Air is not null, () =>
        {
            RuleFor(x => x.Air!.FreeAreaMm2).Between(0, 1_000_000, "The free area", "mm2");
            RuleFor(x => x.Air!.FlowM3h).Between(0, 5000, "What the fan moves", "m3/h");
        });
        RuleFor(x => x.HeatMm).Between(0, 2000, "The distance of what burns", "mm");
    }
}

internal sealed class ScrewForWallValidator : AbstractValidator<ScrewForWall>
{
    public ScrewForWallValidator()
    {
        RuleFor(x => x.LengthMm).Between(2, 300, "A screw", "mm");
        RuleFor(x => x.FromMm).Between(0, 300, "The thinnest wall of a screw", "mm");
        RuleFor(x => x.ToMm).Between(0, 300, "The thickest wall of a screw", "mm");
    }
}

internal sealed class ClampLayerValidator : AbstractValidator<ClampLayer>
{
    public ClampLayerValidator()
    {
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.ThickMm).Between(0, 500, "A layer", "mm");
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
        RuleFor(x => x.Tape!).SetValidator(new BeddingTapeValidator()).When(x => x.Tape is not null);
        RuleFor(x => x.AsCut!).SetValidator(new AsCutValidator()).When(x => x.AsCut is not null);
        When(x => x.Clamp is not null, () =>
        {
            RuleFor(x => x.Clamp!.Layers).Must(l => l.Count <= 20).WithMessage("A stack has at most 20 layers.");
            RuleForEach(x => x.Clamp!.Layers).Given().SetValidator(new ClampLayerValidator());
            RuleFor(x => x.Clamp!.Trimmed).Must(t => t.Count <= 100).WithMessage("A fitting has at most 100 lugs.");
            RuleFor(x => x.Clamp!.Tight).Must(t => t.Count <= TighteningOrder.Most && t.All(i => i >= 0)).WithMessage($"A fitting has at most {TighteningOrder.Most} screws.");
            RuleFor(x => x.Clamp!.BeforeMm).Must(b => b.Count <= 100).WithMessage("At most 100 places are measured.");
            RuleFor(x => x.Clamp!.AfterMm).Must(b => b.Count <= 100).WithMessage("At most 100 places are measured.");
            RuleForEach(x => x.Clamp!.BeforeMm).Between(0, 1000, "A gap", "mm");
            RuleForEach(x => x.Clamp!.AfterMm).Between(0, 1000, "A gap", "mm");
        });
    }
}

internal sealed class SiteValidator : AbstractValidator<Site>
{
    public SiteValidator()
    {
        RuleFor(x => x.Panel).SetValidator(new PanelValidator());
        RuleFor(x => x.Members).Members();
        RuleFor(x => x.Fitting).SetValidator(new FittingValidator());
        RuleFor(x => x.TurnDeg).QuarterTurn();
        RuleFor(x => x.WallMm).Between(0.3, 300, "The wall's thickness", "mm");
        RuleFor(x => x.Neighbours).Must(n => n is null || n.Count <= 100).WithMessage("A panel has at most 100 openings.");
        RuleForEach(x => x.Neighbours).Given().SetValidator(new NeighbourValidator());
        RuleFor(x => x.Zones).Must(z => z is null || z.Count <= 100).WithMessage("A vehicle has at most 100 zones.");
        RuleForEach(x => x.Zones).Given().SetValidator(new ZoneValidator());
        RuleFor(x => x.Lengths!).SetValidator(new LengthFormatValidator()).When(x => x.Lengths is not null);
        RuleFor(x => x.Doors).Must(d => d is null || d.Count <= 10).WithMessage("A vehicle has at most 10 sliding doors.");
        RuleForEach(x => x.Doors).Given().SetValidator(new PanelValidator());
    }
}
