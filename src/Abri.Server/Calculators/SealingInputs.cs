using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Clamping;
using Abri.Core.Openings.Seating;
using Abri.Core.Sealing;
using Abri.Core.Shell;

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
public sealed record ClampStackInput(
    [Count(0, 20, "A stack has at most 20 layers.")] IReadOnlyList<ClampLayer> Layers,
    [Within(0, 500, "The nominal gap", "mm")] double NominalGapMm,
    ClampRange Range,
    [Within(0, 100, "The number of lugs")] int Lugs,
    [Count(0, 20, "A table has at most 20 screws.")] IReadOnlyList<ScrewForWall> Screws,
    LengthFormat? Lengths = null
);

/// <summary>Input of the calculator <c>tightening-order</c>.</summary>
/// <param name="Screws">Where the screws are; null where they lie evenly round a frame.</param>
/// <param name="Frame">The line on which they lie evenly; null where their places are given.</param>
/// <param name="Count">How many lie evenly round the frame.</param>
public sealed record TighteningOrderInput(
    IReadOnlyList<PanelPoint>? Screws = null,
    RoundedRectangle? Frame = null,
    [Within(0, 1000, "The number of screws")] int? Count = null
)
{
    internal IReadOnlyList<PanelPoint> Places => Screws ?? (Frame is null ? [] : TighteningOrder.Around(Frame, Count ?? 0));
}

/// <summary>Input of the calculator <c>gasket</c>.</summary>
/// <param name="BeforeMm">Gaps before tightening, mm.</param>
/// <param name="AfterMm">Gaps at the same places after it, mm.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record GasketInput(
    [Count(0, 100, "At most 100 places are measured."), EachWithin(-1000, 1000, "A gap", "mm")] IReadOnlyList<double> BeforeMm,
    [EachWithin(-1000, 1000, "A gap", "mm")] IReadOnlyList<double> AfterMm,
    LengthFormat? Lengths = null
);

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
public sealed record BondThicknessInput(
    Part First,
    Part Second,
    [Within(1, Limits.LongestMm, "The length", "mm")] double LengthMm,
    [Within(0, 200, "The span of temperature", "K")] double SpanK,
    [Within(0.01, 5, "The allowed strain")] double Strain = BondThickness.UsualStrain
);

/// <summary>Input of the calculator <c>absolute-humidity</c>.</summary>
/// <param name="AirC">Temperature of the air, C.</param>
/// <param name="RelativePercent">Relative humidity, %.</param>
public sealed record AirInput([Within(-40, 80, "The temperature", "C")] double AirC, double RelativePercent);

/// <summary>Input of the calculator <c>dew-point</c>.</summary>
/// <param name="AirC">Temperature of the air, C.</param>
/// <param name="RelativePercent">Relative humidity, %.</param>
/// <param name="SurfaceC">Temperature of the surface to be coated, C; null where nobody measured it.</param>
public sealed record DewPointInput(
    [Within(-40, 80, "The temperature", "C")] double AirC,
    double RelativePercent,
    [Within(-40, 120, "The surface's temperature", "C")] double? SurfaceC = null
);

/// <summary>Input of the calculator <c>sealant-choice</c>.</summary>
/// <param name="Joint">The joint.</param>
/// <param name="Products">The products at hand.</param>
/// <param name="Bedding">The school for roof flanges.</param>
/// <param name="AirC">Temperature at which it is laid, C; null where that is open.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
/// <param name="Lies">How the joint lies; null where nobody said.</param>
public sealed record SealantChoiceInput(
    Joint Joint,
    [Count(0, 200, "At most 200 products are weighed.")] IReadOnlyList<Product> Products,
    FlangeBedding Bedding,
    [Within(-40, 80, "The temperature", "C")] double? AirC = null,
    LengthFormat? Lengths = null,
    JointLies? Lies = null
);

/// <summary>Input of the calculator <c>cure</c>.</summary>
/// <param name="Product">The product.</param>
/// <param name="WidthMm">Width of the bead from its open face, mm.</param>
/// <param name="OpenFaces">Faces open to the air: 1 or 2.</param>
/// <param name="Weather">Air of each hour from when it is laid; one hour alone stands for steady air.</param>
public sealed record CureInput(
    Product Product,
    [Within(0, 100, "The bead's width", "mm")] double WidthMm,
    int OpenFaces,
    [Count(0, 10_000, "At most 2880 hours of weather are followed.")] IReadOnlyList<AirHour> Weather
);

/// <summary>Input of the calculator <c>open-time</c>.</summary>
/// <param name="Product">The product.</param>
/// <param name="Air">Today's air.</param>
/// <param name="LayMinutes">Minutes to lay the bead; null where that is open.</param>
public sealed record OpenTimeInput(Product Product, AirHour Air, [Within(0, 1440, "The time to lay it", "minutes")] double? LayMinutes = null);

/// <summary>Input of the calculator <c>pot-life</c>.</summary>
/// <param name="MinutesAt23C">Pot life of the data sheet at 23 C, min.</param>
/// <param name="AirC">Temperature, C.</param>
/// <param name="Grams">Mass mixed at once, g.</param>
public sealed record PotLifeInput(
    [Within(1, 1440, "The pot life", "minutes")] double MinutesAt23C,
    [Within(-20, 60, "The temperature", "C")] double AirC,
    [Within(1, 20_000, "The mass", "g")] double Grams
);
