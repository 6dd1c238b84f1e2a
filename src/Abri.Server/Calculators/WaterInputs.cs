using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;

namespace Abri.Server.Calculators;

/// <summary>Input of the calculator <c>ponding</c>.</summary>
/// <param name="Roof">The roof and what stands on it.</param>
/// <param name="Attitude">How the vehicle stands.</param>
/// <param name="CellMm">Side of a cell, mm.</param>
public sealed record PondingInput(WetRoof Roof, Attitude Attitude, [Within(2, 500, "A cell's side", "mm")] double CellMm);

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
public sealed record PondingMendsInput(
    WetRoof Roof,
    Attitude Attitude,
    [Count(0, PondingMends.MostPlaces, "At most {1} places are tried at once.")] IReadOnlyList<OtherPlace> Places,
    LengthFormat? Lengths = null
) : IConsistent
{
    (string Field, string Message)? IConsistent.Contradiction() =>
        Roof.Dams.Select(d => d.Name).Distinct().Count() == Roof.Dams.Count ? null : ("roof/dams", "Two things on the roof have the same name.");
}

/// <summary>Input of the calculator <c>drying</c>.</summary>
/// <param name="Readings">Readings of a wood-moisture meter.</param>
/// <param name="RestingPercent">Moisture that the air holds wood at, %.</param>
/// <param name="LimitPercent">Moisture below which it counts as dry, %.</param>
public sealed record DryingInput(
    [Count(2, 500, "Give 2 to 500 readings.")] IReadOnlyList<MoistureReading> Readings,
    [Within(0, 30, "The moisture that the air holds wood at", "%")] double RestingPercent = Drying.UsualRestingPercent,
    [Within(1, 60, "The limit", "%")] double LimitPercent = WoodMoisture.CoatPercent
);

/// <summary>Input of the calculator <c>seal-gap</c>.</summary>
/// <param name="Readings">Pairs of readings in order along the seal.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record SealGapInput(
    [Count(2, 200, "Give 2 to 200 pairs of readings.")] IReadOnlyList<SealReading> Readings,
    LengthFormat? Lengths = null
);

/// <summary>Input of the calculator <c>condensation</c>.</summary>
/// <param name="Signs">What was seen.</param>
public sealed record CondensationInput(CondensationSigns Signs);

/// <summary>Input of the calculator <c>leak-suspects-shell</c>.</summary>
/// <param name="Shell">The shell with what was found and looked at.</param>
/// <param name="Mark">Name of the one mark that is asked about; null for all of them.</param>
public sealed record LeakShellInput(WetShell Shell, string? Mark = null);

/// <summary>Input of the calculator <c>next-water-test</c>.</summary>
/// <param name="Question">Suspects and evidence.</param>
/// <param name="Candidates">The tests to choose from.</param>
public sealed record NextWaterTestInput(LeakQuestion Question, IReadOnlyList<WaterTestCandidate> Candidates);
