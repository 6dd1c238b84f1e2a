using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Weather;

namespace Abri.Core.Floor;

/// <summary>A layer of a floor or a ceiling.</summary>
/// <param name="Name">What it is.</param>
/// <param name="ThickMm">Thickness, mm.</param>
/// <param name="DensityKgM3">Density, kg/m3.</param>
/// <param name="LambdaWmK">Conductivity, W/(m K).</param>
/// <param name="Mu">Resistance to vapour, as a multiple of still air's.</param>
/// <param name="Share">Share of its area that is timber, 0 to 1: battens between foam.</param>
public sealed record BuildUpLayer(
    [Name] string Name,
    [Within(0.05, 500, "The layer", "mm")] double ThickMm,
    [Within(5, 9000, "The density", "kg/m3")] double DensityKgM3,
    [Within(0.005, 400, "The conductivity", "W/(m K)")] double LambdaWmK,
    [Within(1, 1_000_000, "The resistance to vapour")] double Mu,
    [Within(0, 0.9, "The share of timber")] double Share = 0
);

/// <summary>A build-up from inside to outside, and the air on both sides.</summary>
/// <param name="Layers">Layers from inside to outside.</param>
/// <param name="InsideC">Inside, C.</param>
/// <param name="InsidePercent">Humidity inside, %.</param>
/// <param name="OutsideC">Outside, C.</param>
/// <param name="OutsidePercent">Humidity outside, %.</param>
public sealed record BuildUpQuestion(
    [Count(1, 20, "A build-up has 1 to 20 layers.")] IReadOnlyList<BuildUpLayer> Layers,
    [Within(-10, 40, "The temperature inside", "C")] double InsideC = 18,
    [Within(1, 100, "The humidity inside", "%")] double InsidePercent = 60,
    [Within(-30, 40, "The temperature outside", "C")] double OutsideC = 0,
    [Within(1, 100, "The humidity outside", "%")] double OutsidePercent = 80
);

/// <summary>Air at a face between two layers.</summary>
/// <param name="DepthMm">From inside, mm.</param>
/// <param name="TemperatureC">Temperature, C.</param>
/// <param name="SaturationPa">Pressure of vapour that air holds there, Pa.</param>
/// <param name="VapourPa">Pressure of vapour that would be there, were none to condense, Pa.</param>
/// <param name="Condenses">Whether vapour condenses there.</param>
public sealed record DampFace(double DepthMm, double TemperatureC, double SaturationPa, double VapourPa, bool Condenses);

/// <summary>A build-up worked out.</summary>
/// <param name="ThickMm">Thickness, mm.</param>
/// <param name="MassKgM2">Mass, kg/m2.</param>
/// <param name="ResistanceM2KW">Resistance to heat with the air on both sides, m2 K/W.</param>
/// <param name="UpperM2KW">Its upper limit, m2 K/W.</param>
/// <param name="LowerM2KW">Its lower limit, m2 K/W.</param>
/// <param name="Faces">The damp profile, from the inner face to the outer.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record BuildUpPlan(
    double ThickMm,
    double MassKgM2,
    double ResistanceM2KW,
    double UpperM2KW,
    double LowerM2KW,
    IReadOnlyList<DampFace> Faces,
    string Verdict
);

/// <summary>Thickness, mass, resistance to heat and damp of a build-up.</summary>
/// <remarks>
/// Resistance by the combined method of ISO 6946: with timber in it, the mean of an upper limit (strips of foam and strips of timber side by side,
/// from face to face) and a lower one (each layer with the mean of its conductivities); air at the faces 0.17 and 0.04 m2 K/W, heat downwards.
/// Damp by a steady profile after the idea of ISO 13788, simplified: no storage, no air that flows through gaps; saturation by Magnus. From memory.
/// </remarks>
/// <example>18 mm ply (0.13) on 50 mm foam (0.035): 0.17 + 0.138 + 1.429 + 0.04 = 1.777.</example>
public static class BuildUp
{
    private const double InnerM2KW = 0.17,
        OuterM2KW = 0.04,
        TimberWmK = 0.13,
        TimberKgM3 = 480;

    /// <summary>The answer.</summary>
    /// <param name="question">The build-up.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Worked<BuildUpPlan> Of(BuildUpQuestion question, LengthFormat lengths)
    {
        var sheet = new Worksheet();
        IReadOnlyList<BuildUpLayer> layers = question.Layers;
        double thick = sheet.Step("d", "thickness", "sum of the layers", layers.Sum(l => l.ThickMm), "mm");
        double mass = sheet.Step(
            "m",
            "mass",
            "sum of d rho, timber by its share",
            layers.Sum(l => l.ThickMm / 1000 * ((l.DensityKgM3 * (1 - l.Share)) + (TimberKgM3 * l.Share))),
            "kg/m2"
        );
        double upper = sheet.Step("R'", "upper limit", "strips side by side, face to face", Upper(layers), "m2 K/W");
        double lower = sheet.Step("R''", "lower limit", "each layer with the mean of its conductivities", Lower(layers), "m2 K/W");
        double r = sheet.Step("R", "resistance to heat", "(R' + R'') / 2", (upper + lower) / 2, "m2 K/W");
        DampFace[] faces = Profile(question, lower);
        sheet.Cite(new Source("ISO 6946, combined method; faces 0.17 and 0.04 m2 K/W", SourceKind.FromMemory));
        sheet.Cite(new Source("Steady damp profile after the idea of ISO 13788, simplified; Magnus", SourceKind.FromMemory));
        sheet.Warn(
            "The profile knows no gaps: one leak of warm air past the insulation carries more water than all of this. Steel skin holds vapour "
                + "in: leave it a way out at the foot."
        );
        DampFace[] wet = [.. faces.Where(f => f.Condenses)];
        string verdict =
            $"{lengths.Text(thick)}, {mass:0.0} kg/m2, R {r:0.00} m2 K/W. "
            + (
                wet.Length == 0
                    ? "No damp within it in this air."
                    : $"Damp {(wet.Length == 1 ? "at" : $"from {lengths.Text(wet[0].DepthMm)} to")} {lengths.Text(wet[^1].DepthMm)} "
                        + "below its inner face: more foam outside of what holds vapour, or a layer inside that holds more of it back."
            );
        return sheet.Finish(new BuildUpPlan(thick, mass, r, upper, lower, faces, verdict));
    }

    /// <summary>Strips side by side: every mix of foam and timber in the layers that have both, by its share of the area.</summary>
    /// <remarks>Battens of two layers that cross lie over one another by chance: shares multiply.</remarks>
    private static double Upper(IReadOnlyList<BuildUpLayer> layers)
    {
        List<(double Share, double R)> strips = [(1, InnerM2KW + OuterM2KW)];
        foreach (BuildUpLayer layer in layers)
        {
            double foam = layer.ThickMm / 1000 / layer.LambdaWmK,
                timber = layer.ThickMm / 1000 / TimberWmK;
            strips =
            [
                .. strips.SelectMany(s =>
                    layer.Share == 0
                        ? [(s.Share, s.R + foam)]
                        : new[] { (s.Share * (1 - layer.Share), s.R + foam), (s.Share * layer.Share, s.R + timber) }
                ),
            ];
        }
        return 1 / strips.Sum(s => s.Share / s.R);
    }

    private static double Lower(IReadOnlyList<BuildUpLayer> layers) => InnerM2KW + OuterM2KW + layers.Sum(Mean);

    private static double Mean(BuildUpLayer l) => l.ThickMm / 1000 / ((l.LambdaWmK * (1 - l.Share)) + (TimberWmK * l.Share));

    private static DampFace[] Profile(BuildUpQuestion q, double total)
    {
        double inside = q.InsidePercent / 100 * Saturation(q.InsideC),
            outside = q.OutsidePercent / 100 * Saturation(q.OutsideC),
            vapour = q.Layers.Sum(l => l.Mu * l.ThickMm);
        (double heat, double damp, double depth) = (InnerM2KW, 0, 0);
        DampFace Face()
        {
            double at = q.InsideC - ((q.InsideC - q.OutsideC) * heat / total);
            double saturated = Saturation(at),
                pressure = inside - ((inside - outside) * damp / vapour);
            return new DampFace(depth, at, saturated, pressure, pressure > saturated);
        }
        List<DampFace> faces = [Face()];
        foreach (BuildUpLayer layer in q.Layers)
        {
            heat += Mean(layer);
            damp += layer.Mu * layer.ThickMm;
            depth += layer.ThickMm;
            faces.Add(Face());
        }
        return [.. faces];
    }

    /// <summary>Pressure of vapour that air holds, Pa.</summary>
    private static double Saturation(double celsius) => 100 * MoistAir.SaturatedHpa(celsius);
}
