using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Seating;
using Abri.Core.Shell;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Openings;

public class HeaderSizeTests
{
    private static Header Of(double clear, HeaderMaterial material) => HeaderSize.Of(clear, material).Value!.Result;

    [Theory] // Worked with a pocket calculator: W = b h^2 / 6, M = P L / 4 with P = 1000 N, timber to 9.85, steel to 150 N/mm2
    [InlineData(300, HeaderMaterial.Timber, 45, 480, 6.42)] // L 390: M 97.5 Nm, W 15 188
    [InlineData(500, HeaderMaterial.Timber, 45, 680, 9.71)]
    [InlineData(545, HeaderMaterial.Timber, 60, 785, 6.16)] // 45 by 45 would be stressed to 10.5
    [InlineData(1150, HeaderMaterial.Timber, 70, 1430, 8.78)]
    [InlineData(1500, HeaderMaterial.Timber, 95, 1880, 6.24)]
    [InlineData(545, HeaderMaterial.SteelTube, 25, 645, 113.8)]
    [InlineData(1100, HeaderMaterial.SteelTube, 30, 1220, 147.9)]
    public void The_smallest_section_that_carries_is_taken(double clear, HeaderMaterial material, double depth, double length, double stress)
    {
        Header header = Of(clear, material);
        Assert.Equal((depth, length, 2), (header.Section.DepthMm, header.LengthMm, header.BoltsEach));
        Assert.Equal(2 * depth, header.LandingMm);
        Assert.Equal(stress, header.StressMpa, 0.06);
    }

    [Fact] // Against the bending line integrated twice, station by station, and against every smaller section
    public void Stress_and_sag_agree_with_the_bending_line_and_nothing_smaller_would_do() =>
        Gen.Select(Gen.Double[50, HeaderSize.MostClearMm], Gen.Enum<HeaderMaterial>())
            .Holds(
                (clear, material) =>
                {
                    Header header = Of(clear, material);
                    (double modulus, double allowed) =
                        material == HeaderMaterial.Timber ? (11_000.0, HeaderSize.TimberMpa) : (210_000.0, HeaderSize.SteelMpa);
                    (double stress, double sag) = Bent(header.Section, clear, modulus);
                    bool Carries(HeaderSection s) =>
                        Bent(s, clear, modulus) is var (spent, down) && spent <= allowed && down <= (clear + (2 * s.DepthMm)) / 200;
                    return Math.Abs(header.StressMpa - stress) < 1e-3 * stress
                        && Math.Abs(header.SagMm - sag) < 1e-3 * sag
                        && Carries(header.Section)
                        && !HeaderSize.Sections.Where(s => s.Material == material && s.DepthMm < header.Section.DepthMm).Any(Carries);
                },
                cases: 100
            );

    /// <summary>Stress and sag in the middle: curvature M / EI integrated from one end, the slope there such that the other end comes down to
    /// nought.</summary>
    private static (double Stress, double Sag) Bent(HeaderSection s, double clear, double modulus)
    {
        double span = clear + (2 * s.DepthMm),
            inner = s.WallMm > 0 ? s.DepthMm - (2 * s.WallMm) : 0,
            inertia = ((s.WidthMm * Math.Pow(s.DepthMm, 3)) - (inner * Math.Pow(inner, 3))) / 12;
        const int n = 4000;
        double step = span / n,
            slope = 0,
            down = 0,
            middle = 0;
        for (int i = 0; i < n; i++)
        {
            double x = (i + 0.5) * step,
                moment = HeaderSize.LoadN / 2 * Math.Min(x, span - x);
            slope -= moment / (modulus * inertia) * step;
            down += slope * step;
            if (i == (n / 2) - 1)
                middle = down;
        }
        return (HeaderSize.LoadN * span / 4 * (s.DepthMm / 2) / inertia, Math.Abs(middle - (down / 2)));
    }

    [Fact] // 1500 in the clear is sized, a millimetre more is not, in the verdict as in the figure
    public void Over_the_bound_nothing_is_cut_without_somebody_licensed()
    {
        Problem problem = HeaderSize.Of(HeaderSize.MostClearMm + 1, HeaderMaterial.Timber).Problem!;
        Assert.Equal(("header-too-long", "/clearMm"), (problem.Code, problem.Pointer));
        Assert.Contains("licensed", problem.Message);
        Judgement Row(double clear)
        {
            double half = clear / 2;
            Member[] bows = [Roofs.Bow("A", 1940 - half, 2000 - half), Roofs.Bow("B", 1970, 2030), Roofs.Bow("C", 2000 + half, 2060 + half)];
            var site = new Site(Roofs.Flat(), bows, Roofs.Vent(), RibInTheWay.CutSecondary);
            return OpeningVerdict.Of(site, new PanelPoint(2000, 0)).Value!.Result.Rows.Single(r => r.Id == "crossed-1");
        }
        Assert.Equal(JudgementState.NeedsWork, Row(HeaderSize.MostClearMm).State);
        Assert.Contains("softwood 45 mm by 95 mm", Row(HeaderSize.MostClearMm).Why);
        Judgement over = Row(HeaderSize.MostClearMm + 1);
        Assert.Equal((JudgementState.Blocked, HeaderSize.MostClearMm + 1), (over.State, Math.Round(over.Measured!.Value, 6)));
        Assert.Contains("licensed", over.Remedy);
    }

    [Fact] // Where it gets hot no timber carries anything
    public void A_flue_has_headers_of_steel()
    {
        Fitting flue = Roofs.Vent(150) with { Kind = FittingKind.Flue, HeatMm = 100 };
        var site = new Site(Roofs.Flat(), Roofs.Bows(3), flue, RibInTheWay.CutSecondary);
        Assert.Equal(
            HeaderMaterial.SteelTube,
            Assert.Single(InnerFrame.Of(site, new PanelPoint(1195, 0)).Value!.Result.Headers).Size!.Section.Material
        );
    }

    [Theory] // Bows 700 apart in the clear carry a heavy unit, 701 do not
    [InlineData(700, true)]
    [InlineData(701, false)]
    public void A_heavy_unit_wants_its_bows_near(double clear, bool good)
    {
        Member[] bows = [Roofs.Bow("A", 1000, 1060), Roofs.Bow("B", 1060 + clear, 1120 + clear)];
        Fitting heavy = Roofs.Vent() with { MassKg = 30 };
        Judgement row = OpeningVerdict
            .Of(new Site(Roofs.Flat(), bows, heavy), new PanelPoint(1060 + (clear / 2), 0))
            .Value!.Result.Rows.Single(r => r.Id == "carried");
        Assert.Equal(good ? JudgementState.Good : JudgementState.Blocked, row.State);
        Assert.Equal(clear, row.Measured!.Value, 6);
        if (!good)
            Assert.Contains("two bearers", row.Remedy);
    }
}
