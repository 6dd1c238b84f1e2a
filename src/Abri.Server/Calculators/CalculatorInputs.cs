using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Server.Api;
using FluentValidation;

namespace Abri.Server.Calculators;

/// <summary>Input of the calculator <c>bays</c>.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
public sealed record BaysInput(Panel Panel, IReadOnlyList<Member> Members);

/// <summary>Input of the calculator <c>length-parse</c>.</summary>
/// <param name="Text">What was typed.</param>
/// <param name="Lengths">Unit of plain numbers and finest fraction; millimetres when left out.</param>
public sealed record LengthParseInput(string Text, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>tape-chain</c>.</summary>
/// <param name="Panel">The panel that was taped.</param>
/// <param name="Run">What the tape crossed.</param>
public sealed record TapeChainInput(Panel Panel, TapeRun Run);

/// <summary>Input of the calculator <c>parallel-lines</c>.</summary>
/// <param name="Lines">The lines, measured from one datum.</param>
/// <param name="ApartMm">Distance between the two places at which they were measured, mm.</param>
/// <param name="OpeningMm">Width of the opening along them, mm.</param>
public sealed record ParallelLinesInput(IReadOnlyList<MeasuredLine> Lines, double ApartMm, double OpeningMm);

/// <summary>Input of the calculator <c>sagitta</c>: two of the three.</summary>
/// <param name="RadiusMm">Radius, mm.</param>
/// <param name="ChordMm">Chord, mm.</param>
/// <param name="RiseMm">Rise, mm.</param>
public sealed record SagittaInput(double? RadiusMm = null, double? ChordMm = null, double? RiseMm = null);

/// <summary>Input of the calculator <c>section-parse</c>.</summary>
/// <param name="Text">Readings as typed or pasted: place across and depth, one reading a line.</param>
/// <param name="Lengths">Unit of plain numbers.</param>
public sealed record SectionParseInput(string Text, LengthFormat Lengths);

/// <summary>Input of the calculator <c>surface-relief</c>.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
/// <param name="StepMm">Distance between places, mm.</param>
public sealed record SurfaceReliefInput(Panel Panel, IReadOnlyList<Member> Members, double StepMm);

/// <summary>Input of the calculator <c>surface-section</c>.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
/// <param name="StationMm">Where it is cut across, mm along s.</param>
public sealed record SurfaceSectionInput(Panel Panel, IReadOnlyList<Member> Members, double StationMm);

/// <summary>Input of the calculator <c>opening-verdict</c>.</summary>
/// <param name="Site">What decides.</param>
/// <param name="Centre">Where the fitting's centre would lie.</param>
public sealed record OpeningVerdictInput(Site Site, PanelPoint Centre);

/// <summary>Input of the calculator <c>opening-positions</c>.</summary>
/// <param name="Site">What decides.</param>
/// <param name="Wishes">What is wished; may be empty.</param>
public sealed record OpeningPositionsInput(Site Site, IReadOnlyList<Wish> Wishes);

/// <summary>Input of the calculator <c>setting-out</c>.</summary>
/// <param name="Site">What decides.</param>
/// <param name="Centre">Where the fitting's centre lies.</param>
/// <param name="Marking">How lines are drawn and cut.</param>
public sealed record SettingOutInput(Site Site, PanelPoint Centre, Marking Marking);

/// <summary>Input of the calculator <c>hole-check</c>.</summary>
/// <param name="Frame">The frame, turned as it is placed.</param>
/// <param name="Measured">The hole as it was cut.</param>
/// <param name="Facing">Which way the panel that was cut faces, for the names of its sides.</param>
/// <param name="Lengths">How lengths are written in the advice; millimetres when left out.</param>
public sealed record HoleCheckInput(Frame Frame, AsCut Measured, Facing Facing, LengthFormat? Lengths = null);

internal sealed class BaysInputValidator : AbstractValidator<BaysInput>
{
    public BaysInputValidator()
    {
        RuleFor(x => x.Panel).SetValidator(new PanelValidator());
        RuleFor(x => x.Members).Members();
    }
}

internal sealed class SixReadingsValidator : AbstractValidator<SixReadings>
{
    public SixReadingsValidator()
    {
        RuleFor(x => x.TopMm).Between(10, Ranges.LongestMm, "A measured side", "mm");
        RuleFor(x => x.BottomMm).Between(10, Ranges.LongestMm, "A measured side", "mm");
        RuleFor(x => x.FrontMm).Between(10, Ranges.LongestMm, "A measured side", "mm");
        RuleFor(x => x.RearMm).Between(10, Ranges.LongestMm, "A measured side", "mm");
        RuleFor(x => x.RisingMm).Between(10, 2 * Ranges.LongestMm, "A measured diagonal", "mm");
        RuleFor(x => x.FallingMm).Between(10, 2 * Ranges.LongestMm, "A measured diagonal", "mm");
    }
}

internal sealed class ParallelLinesInputValidator : AbstractValidator<ParallelLinesInput>
{
    public ParallelLinesInputValidator()
    {
        RuleFor(x => x.Lines).Must(l => l.Count is >= 2 and <= 12).WithMessage("Give 2 to 12 lines.");
        RuleForEach(x => x.Lines).Given().ChildRules(line =>
        {
            line.RuleFor(x => x.Name).Name();
            line.RuleFor(x => x.FirstMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "A distance", "mm");
            line.RuleFor(x => x.SecondMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "A distance", "mm");
        });
        RuleFor(x => x.ApartMm).Between(50, Ranges.LongestMm, "The distance between the two places", "mm");
        RuleFor(x => x.OpeningMm).Between(20, 5000, "The opening's width", "mm");
    }
}

internal sealed class SagittaInputValidator : AbstractValidator<SagittaInput>
{
    public SagittaInputValidator()
    {
        RuleFor(x => x.RadiusMm).Between(1, 10_000_000, "The radius", "mm");
        RuleFor(x => x.ChordMm).Between(1, Ranges.LongestMm, "The chord", "mm");
        RuleFor(x => x.RiseMm).Between(0.001, Ranges.LongestMm, "The rise", "mm");
    }
}

internal sealed class SectionParseInputValidator : AbstractValidator<SectionParseInput>
{
    public SectionParseInputValidator()
    {
        RuleFor(x => x.Text).Must(t => t.Length <= 40_000).WithMessage("A section has at most 40 000 characters.");
        RuleFor(x => x.Lengths).SetValidator(new LengthFormatValidator());
    }
}

internal sealed class SurfaceSectionInputValidator : AbstractValidator<SurfaceSectionInput>
{
    public SurfaceSectionInputValidator()
    {
        RuleFor(x => x.Panel).SetValidator(new PanelValidator());
        RuleFor(x => x.Members).Members();
        RuleFor(x => x.StationMm).Between(-Ranges.LongestMm, Ranges.LongestMm, "The station", "mm");
    }
}

internal sealed class SurfaceReliefInputValidator : AbstractValidator<SurfaceReliefInput>
{
    public SurfaceReliefInputValidator()
    {
        RuleFor(x => x.Panel).SetValidator(new PanelValidator());
        RuleFor(x => x.Members).Members();
        RuleFor(x => x.StepMm).Between(2, 500, "The step", "mm");
    }
}

internal sealed class LengthParseInputValidator : AbstractValidator<LengthParseInput>
{
    public LengthParseInputValidator() => RuleFor(x => x.Lengths!).SetValidator(new LengthFormatValidator()).When(x => x.Lengths is not null);
}

internal sealed class TapeChainInputValidator : AbstractValidator<TapeChainInput>
{
    public TapeChainInputValidator(IValidator<TapeRun> run)
    {
        RuleFor(x => x.Panel).SetValidator(new PanelValidator());
        RuleFor(x => x.Run).SetValidator(run);
    }
}

internal sealed class TapeRunValidator : AbstractValidator<TapeRun>
{
    public TapeRunValidator()
    {
        RuleFor(x => x.Readings).Must(r => r.Length <= 4000).WithMessage("A run of readings has at most 4000 characters.");
        RuleFor(x => x.Again).Must(r => r is null || r.Length <= 4000).WithMessage("A run of readings has at most 4000 characters.");
        RuleFor(x => x.Overall).Must(r => r is null || r.Length <= 80).WithMessage("A reading has at most 80 characters.");
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.FirstNumber).Between(0, 999, "The first number");
        RuleFor(x => x.DepthMm).Between(-100, 500, "The depth", "mm");
        RuleFor(x => x.Lengths).SetValidator(new LengthFormatValidator());
    }
}

internal sealed class OpeningVerdictInputValidator : AbstractValidator<OpeningVerdictInput>
{
    public OpeningVerdictInputValidator()
    {
        RuleFor(x => x.Site).SetValidator(new SiteValidator());
        RuleFor(x => x.Centre).SetValidator(new PanelPointValidator());
    }
}

internal sealed class OpeningPositionsInputValidator : AbstractValidator<OpeningPositionsInput>
{
    public OpeningPositionsInputValidator()
    {
        RuleFor(x => x.Site).SetValidator(new SiteValidator());
        RuleFor(x => x.Wishes).Must(w => w.Count <= 20).WithMessage("At most 20 wishes can be weighed.");
        RuleForEach(x => x.Wishes).Given().SetValidator(new WishValidator());
    }
}

internal sealed class SettingOutInputValidator : AbstractValidator<SettingOutInput>
{
    public SettingOutInputValidator()
    {
        RuleFor(x => x.Site).SetValidator(new SiteValidator());
        RuleFor(x => x.Centre).SetValidator(new PanelPointValidator());
        RuleFor(x => x.Marking).ChildRules(marking =>
        {
            marking.RuleFor(x => x.MarkerOffsetMm).Between(0, 20, "The pencil's offset", "mm");
            marking.RuleFor(x => x.StartHoleMm).Between(3, 100, "A start hole", "mm");
        });
    }
}

internal sealed class HoleCheckInputValidator : AbstractValidator<HoleCheckInput>
{
    public HoleCheckInputValidator()
    {
        RuleFor(x => x.Frame.CutOut).SetValidator(new RoundedRectangleValidator());
        RuleFor(x => x.Frame.Neck).SetValidator(new RoundedRectangleValidator());
        RuleFor(x => x.Frame.Flange).SetValidator(new RoundedRectangleValidator());
        RuleFor(x => x.Frame.LeastLapMm).Between(0, 300, "The least lap", "mm");
        RuleFor(x => x.Measured).SetValidator(new AsCutValidator());
        RuleFor(x => x.Lengths!).SetValidator(new LengthFormatValidator()).When(x => x.Lengths is not null);
    }
}
