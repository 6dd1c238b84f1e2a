using Abri.Core.Geometry;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;
using Abri.Server.Api;
using Abri.Server.Calculators;
using FluentValidation;

namespace Abri.Server.Water;

internal static class WaterRules
{
    /// <summary>A date that can be meant.</summary>
    public static void Date<T>(this IRuleBuilder<T, DateTimeOffset?> rule) => rule.Must(t => t is null or { Year: >= 1950 and <= 2150 }).WithMessage("The date must lie between 1950 and 2150.");

    /// <summary>A rectangle that encloses an area and has no endless sides.</summary>
    public static void Area<T>(this IRuleBuilder<T, PanelBox> rule, string name) =>
        rule.Must(a => a is { WidthMm: > 0 and <= Ranges.LongestMm, HeightMm: > 0 and <= Ranges.LongestMm } && double.IsFinite(a.Centre.SMm) && double.IsFinite(a.Centre.TMm))
            .WithMessage($"{name} has to enclose an area of at most {Ranges.LongestMm / 1000:0} m by {Ranges.LongestMm / 1000:0} m.");
}

internal sealed class SuspectValidator : AbstractValidator<Suspect>
{
    public SuspectValidator()
    {
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.Notes).Notes();
        RuleFor(x => x.SinceAt).Date();
        RuleFor(x => x.Points).Must(p => p.Count is >= 1 and <= 100).WithMessage("A suspect has 1 to 100 points.");
        RuleForEach(x => x.Points).SetValidator(new PanelPointValidator());
    }
}

internal sealed class SprayValidator : AbstractValidator<Spray>
{
    public SprayValidator()
    {
        RuleFor(x => x.Zone).Area("The part that is sprayed");
        RuleFor(x => x.Minutes).Between(0.5, 240, "How long is sprayed", "minutes");
    }
}

internal sealed class ObservationValidator : AbstractValidator<Observation>
{
    public ObservationValidator()
    {
        RuleFor(x => x.Place).SetValidator(new PanelPointValidator());
        RuleFor(x => (DateTimeOffset?)x.SeenAt).Date();
        RuleFor(x => x.MoisturePercent).Between(0, 200, "The moisture", "%");
        RuleFor(x => x.AfterMinutes).Between(0, 1000, "After how many minutes", "minutes");
        RuleFor(x => x.Attitude!).SetValidator(new AttitudeValidator()).When(x => x.Attitude is not null);
        RuleFor(x => x.Spray!).SetValidator(new SprayValidator()).When(x => x.Spray is not null);
        RuleFor(x => x.SeenBy).Must(s => s.Length <= 80).WithMessage("Who looked may have at most 80 characters.");
        RuleFor(x => x.Notes).Notes();
    }
}

internal sealed class SealReadingValidator : AbstractValidator<SealReading>
{
    public SealReadingValidator()
    {
        RuleFor(x => x.Place).SetValidator(new PanelPointValidator());
        RuleFor(x => x.GapMm).Between(0, 100, "The gap", "mm");
        RuleFor(x => x.SealMm).Between(0.5, 100, "The height of the seal", "mm");
    }
}

internal sealed class DrainValidator : AbstractValidator<Drain>
{
    public DrainValidator()
    {
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.Place).SetValidator(new PanelPointValidator());
        RuleFor(x => x.ClearedAt).Date();
        RuleFor(x => x.Notes).Notes();
    }
}

internal sealed class CoveringValidator : AbstractValidator<Covering>
{
    public CoveringValidator()
    {
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.Area).Area("What is covered");
        RuleFor(x => x.Notes).Notes();
    }
}

internal sealed class LeakPriorValidator : AbstractValidator<LeakPrior>
{
    public LeakPriorValidator() => RuleFor(x => x.Probability).Between(0, 1, "A probability", "");
}

internal sealed class WaterRecordValidator : AbstractValidator<WaterRecord>
{
    private const int Most = 500;

    public WaterRecordValidator()
    {
        RuleFor(x => x.Suspects).Must(x => x.Count <= Most).WithMessage($"A panel has at most {Most} suspects.");
        RuleFor(x => x.Observations).Must(x => x.Count <= Most).WithMessage($"At a panel at most {Most} results are kept.");
        RuleForEach(x => x.Suspects).Given().SetValidator(new SuspectValidator());
        RuleForEach(x => x.Observations).Given().SetValidator(new ObservationValidator());
        RuleForEach(x => x.SealReadings).Given().SetValidator(new SealReadingValidator());
        RuleForEach(x => x.Drains).Given().SetValidator(new DrainValidator());
        RuleForEach(x => x.Coverings).Given().SetValidator(new CoveringValidator());
    }
}

internal sealed class WetShellValidator : AbstractValidator<WetShell>
{
    public WetShellValidator()
    {
        RuleFor(x => x.Attitude).SetValidator(new AttitudeValidator());
        RuleForEach(x => x.Priors).Given().SetValidator(new LeakPriorValidator());
        RuleFor(x => x.Panels).Must(p => p.Count <= 40).WithMessage("A vehicle has at most 40 panels.");
        RuleForEach(x => x.Panels).Given().ChildRules(p =>
        {
            p.RuleFor(x => x.Id).Name();
            p.RuleFor(x => x.Panel).SetValidator(new PanelValidator());
            p.RuleFor(x => x.Members).Members();
            p.RuleForEach(x => x.Findings).Given().SetValidator(new KeyedValidator<Finding>(new FindingValidator()));
            p.RuleForEach(x => x.Openings).Given().ChildRules(o =>
            {
                o.RuleFor(x => x.Name).Name();
                o.RuleFor(x => x.Edge).Area("The edge of an opening");
            });
            p.RuleForEach(x => x.Suspects).Given().SetValidator(new KeyedValidator<Suspect>(new SuspectValidator()));
            p.RuleForEach(x => x.Observations).Given().SetValidator(new ObservationValidator());
            p.RuleForEach(x => x.SealReadings).Given().SetValidator(new SealReadingValidator());
            p.RuleForEach(x => x.Drains).Given().SetValidator(new DrainValidator());
            p.RuleForEach(x => x.Coverings).Given().SetValidator(new CoveringValidator());
        });
        RuleFor(x => x.Panels).Must(p => p.Select(x => x?.Id).Distinct().Count() == p.Count).WithMessage("Two panels have the same id.");
    }
}
