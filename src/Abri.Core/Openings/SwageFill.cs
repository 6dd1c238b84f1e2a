using Abri.Core.Geometry;

namespace Abri.Core.Openings;

/// <summary>What bedding a flange needs over swages.</summary>
/// <param name="StepMm">Height between the highest and the lowest skin under the flange, mm.</param>
/// <param name="FillMl">Volume between flange and skin, ml.</param>
/// <param name="Swages">Swages under the flange.</param>
internal sealed record Fill(double StepMm, double FillMl, IReadOnlyList<Obstacle> Swages);

/// <summary>
/// Estimates the bedding under a flange that lies across swages.
/// </summary>
/// <remarks>
/// The flange is taken as rigid and level on the highest swage under its ring (or on the flat skin where swages are grooves);
/// every other part of the ring is filled up to it. Swages are taken as flat-topped, and the crown of the roof is left out. Where
/// two swages cross, the crossing counts twice.
/// </remarks>
/// <example>A 490 x 490 flange round a 400 x 400 hole over one ridge 44 wide and 8 high that crosses both sides:
/// the ring measures 80 100 mm2, the ridge covers 2 x 45 x 44 = 3 960 mm2 of it, so (80 100 - 3 960) x 8 = 609 ml.</example>
internal static class SwageFill
{
    public static Fill Under(Ground ground, PanelPoint centre)
    {
        PanelBox flange = ground.Fitting.Flange.BoxAt(centre),
            cut = ground.Fitting.CutOut.BoxAt(centre);
        double low = 0,
            high = 0,
            covered = 0,
            coveredVolume = 0;
        List<Obstacle>? swages = null;
        foreach (Obstacle swage in ground.Swages)
        {
            if (!swage.Box.Overlaps(flange))
                continue;
            double area = swage.AreaWithin(flange) - swage.AreaWithin(cut);
            if (area < 1)
                continue;
            double height = -swage.Member.DepthMm;
            (low, high) = (Math.Min(low, height), Math.Max(high, height));
            covered += area;
            coveredVolume += area * height;
            (swages ??= []).Add(swage);
        }
        double ring = flange.AreaMm2 - cut.AreaMm2;
        return new Fill(high - low, Math.Max(0, (ring * high) - coveredVolume) / 1000, swages ?? []);
    }
}
