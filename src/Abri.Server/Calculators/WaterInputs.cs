using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;
using Abri.Server.Api;
using Abri.Server.Water;
using FluentValidation;

namespace Abri.Server.Calculators;

/// <summary>Input of the calculator <c>ponding</c>.</summary>
/// <param name="Roof">The roof and what stands on it.</param>
/// <param name="Attitude">How the vehicle stands.</param>
/// <param name="CellMm">Side of a cell, mm.</param>
public sealed record PondingInput(WetRoof Roof, Attitude Attitude, double CellMm);

/// <summary>Input of the calculator <c>ponding-grid</c>.</summary>
/// <param name="Grid">Heights of any ground.</param>
public sealed record PondingGridInput(HeightField Grid);

/// <summary>Input of the calculator <c>ponding-worst</c>.</summary>
/// <param name="Roof">The roof and what stands on it.</param>
public sealed record PondingWorstInput(WetRoof Roof);

/// <summary>Input of the calculator <c>ponding-park</c>.</summary>
/// <param name="Roof">The roof and what stands on it.</param>
/// <param name="Attitude">How the vehicle stands.</param>
public sealed record PondingParkInput(WetRoof Roof, Attitude Attitude);

/// <summary>Input of the calculator <c>ponding-mends</c>.</summary>
/// <param name="Roof">The roof and what stands on it.</param>
/// <param name="Attitude">How the vehicle stands.</param>
/// <param name="Places">Other places to try.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record PondingMendsInput(WetRoof Roof, Attitude Attitude, IReadOnlyList<OtherPlace> Places, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>drying</c>.</summary>
/// <param name="Readings">Readings of a wood-moisture meter.</param>
/// <param name="RestingPercent">Moisture that the air holds wood at, %.</param>
/// <param name="LimitPercent">Moisture below which it counts as dry, %.</param>
public sealed record DryingInput(IReadOnlyList<MoistureReading> Readings, double RestingPercent = Drying.UsualRestingPercent, double LimitPercent = Drying.CoatPercent);

/// <summary>Input of the calculator <c>seal-gap</c>.</summary>
/// <param name="Readings">Pairs of readings in order along the seal.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record SealGapInput(IReadOnlyList<SealReading> Readings, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>leak-suspects-shell</c>.</summary>
/// <param name="Shell">The shell with what was found and looked at.</param>
/// <param name="Mark">Name of the one mark that is asked about; null for all of them.</param>
public sealed record LeakShellInput(WetShell Shell, string? Mark = null);

/// <summary>Input of the calculator <c>next-water-test</c>.</summary>
/// <param name="Question">Suspects and evidence.</param>
/// <param name="Candidates">The tests to choose from.</param>
public sealed record NextWaterTestInput(LeakQuestion Question, IReadOnlyList<WaterTestCandidate> Candidates);

internal sealed class SealGapInputValidator : AbstractValidator<SealGapInput>
{
    public SealGapInputValidator()
    {
        RuleFor(x => x.Readings).Must(r => r.Count is >= 2 and <= 200).WithMessage("Give 2 to 200 pairs of readings.");
        RuleForEach(x => x.Readings).Given().SetValidator(new SealReadingValidator());
    }
}

/// <summary>Names only: counts and probabilities are judged where they are reckoned with.</summary>
internal sealed class LeakQuestionValidator : AbstractValidator<LeakQuestion>
{
    public LeakQuestionValidator()
    {
        RuleForEach(x => x.Spots).Given().Must(s => s.Length is >= 1 and <= 200).WithMessage("A spot has a name of 1 to 200 characters.");
        RuleForEach(x => x.Suspects).Given().ChildRules(s => s.RuleFor(x => x.Name).Must(n => n.Length is >= 1 and <= 200).WithMessage("A suspect has a name of 1 to 200 characters."));
        RuleForEach(x => x.Evidence).Given().ChildRules(e => e.RuleFor(x => x.Name).Must(n => n.Length is >= 1 and <= 200).WithMessage("A result has a name of 1 to 200 characters."));
    }
}

internal sealed class LeakShellInputValidator : AbstractValidator<LeakShellInput>
{
    public LeakShellInputValidator() => RuleFor(x => x.Shell).SetValidator(new WetShellValidator());
}

internal sealed class NextWaterTestInputValidator : AbstractValidator<NextWaterTestInput>
{
    public NextWaterTestInputValidator()
    {
        RuleFor(x => x.Question).SetValidator(new LeakQuestionValidator());
        RuleForEach(x => x.Candidates).Given().ChildRules(c => c.RuleFor(x => x.Name).Must(n => n.Length is >= 1 and <= 200).WithMessage("A test has a name of 1 to 200 characters."));
    }
}

internal sealed class WetRoofValidator : AbstractValidator<WetRoof>
{
    public WetRoofValidator()
    {
        RuleFor(x => x.Panel).SetValidator(new PanelValidator());
        RuleFor(x => x.Members).Members();
        RuleFor(x => x.Dams).Must(d => d.Count <= 100).WithMessage("At most 100 things stand on a roof.");
        RuleForEach(x => x.Dams).Given().ChildRules(dam =>
        {
            dam.RuleFor(x => x.Name).Name();
            dam.RuleFor(x => x.StandsMm).Between(0, 1000, "How far it stands above the skin", "mm");
            dam.RuleFor(x => x.Edge).Must(e => e is { WidthMm: > 0, HeightMm: > 0 } && double.IsFinite(e.AreaMm2)).WithMessage("The edge of what stands on the roof has to enclose an area.");
        });
    }
}

internal sealed class AttitudeValidator : AbstractValidator<Attitude>
{
    public AttitudeValidator()
    {
        RuleFor(x => x.PitchDeg).Between(-20, 20, "The pitch", "degrees");
        RuleFor(x => x.RollDeg).Between(-20, 20, "The roll", "degrees");
    }
}

internal sealed class PondingInputValidator : AbstractValidator<PondingInput>
{
    public PondingInputValidator()
    {
        RuleFor(x => x.Roof).SetValidator(new WetRoofValidator());
        RuleFor(x => x.Attitude).SetValidator(new AttitudeValidator());
        RuleFor(x => x.CellMm).Between(2, 500, "A cell's side", "mm");
    }
}

internal sealed class PondingGridInputValidator : AbstractValidator<PondingGridInput>
{
    public PondingGridInputValidator()
    {
        RuleFor(x => x.Grid.CellMm).Between(0.1, 10_000, "A cell's side", "mm");
        RuleFor(x => x.Grid.SMinMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "The first column", "mm");
        RuleFor(x => x.Grid.TMinMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "The first row", "mm");
        RuleFor(x => x.Grid.Columns).Between(3, 100_000, "The number of columns");
        RuleFor(x => x.Grid.Rows).Between(3, 100_000, "The number of rows");
        RuleForEach(x => x.Grid.HeightsMm).Between(-1_000_000, 1_000_000, "A height", "mm");
    }
}

internal sealed class PondingWorstInputValidator : AbstractValidator<PondingWorstInput>
{
    public PondingWorstInputValidator() => RuleFor(x => x.Roof).SetValidator(new WetRoofValidator());
}

internal sealed class PondingParkInputValidator : AbstractValidator<PondingParkInput>
{
    public PondingParkInputValidator()
    {
        RuleFor(x => x.Roof).SetValidator(new WetRoofValidator());
        RuleFor(x => x.Attitude).SetValidator(new AttitudeValidator());
    }
}

internal sealed class PondingMendsInputValidator : AbstractValidator<PondingMendsInput>
{
    public PondingMendsInputValidator()
    {
        RuleFor(x => x.Roof).SetValidator(new WetRoofValidator());
        RuleFor(x => x.Roof.Dams).Must(d => d.Select(x => x?.Name).Distinct().Count() == d.Count).WithMessage("Two things on the roof have the same name.");
        RuleFor(x => x.Attitude).SetValidator(new AttitudeValidator());
        RuleFor(x => x.Places).Must(p => p.Count <= PondingMends.MostPlaces).WithMessage($"At most {PondingMends.MostPlaces} places are tried at once.");
        RuleForEach(x => x.Places).Given().ChildRules(p =>
        {
            p.RuleFor(x => x.What).Must(w => w.Length is >= 1 and <= 200).WithMessage("Say in 1 to 200 characters what is done.");
            p.RuleFor(x => x.Edge).Area("The edge of what stands on the roof");
        });
    }
}

internal sealed class DryingInputValidator : AbstractValidator<DryingInput>
{
    public DryingInputValidator()
    {
        RuleFor(x => x.Readings).Must(r => r.Count is >= 2 and <= 500).WithMessage("Give 2 to 500 readings.");
        RuleForEach(x => x.Readings).Given().ChildRules(r =>
        {
            r.RuleFor(x => x.Hours).Between(0, 100_000, "The time of a reading", "h");
            r.RuleFor(x => x.MoisturePercent).Between(0, 200, "A moisture", "%");
        });
        RuleFor(x => x.RestingPercent).Between(0, 30, "The moisture that the air holds wood at", "%");
        RuleFor(x => x.LimitPercent).Between(1, 60, "The limit", "%");
    }
}
