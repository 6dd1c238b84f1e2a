using System.Globalization;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Work;
using CsCheck;
using CsvHelper;

namespace Abri.Exchange.Tests;

/// <summary>Tables read back by the library's own reader.</summary>
public class CsvTests
{
    private static readonly Joint Joint = new(
        "Seam",
        JointKind.Seam,
        1234.5,
        Substrate.PaintedMetal,
        Substrate.Glass,
        3,
        0.2,
        true,
        false,
        true,
        false,
        false,
        true,
        null,
        "butyl",
        [
            new JointEvent(new DateOnly(2026, 4, 11), JointEventKind.Stripped, null, "", "Ida"),
            new JointEvent(new DateOnly(2026, 4, 12), JointEventKind.Sealed, ProductFamily.ButylTape, "", "Ida"),
        ],
        "two\nlines, and a \"quote\""
    );

    [Fact]
    public void A_joint_comes_back_with_what_was_done_last()
    {
        Dictionary<string, string> row = Assert.Single(Read(JointsCsv.Write([("Roof", Joint, "Butyl tape 40 x 10")])));
        Assert.Equal(
            ("Roof", "Seam", "1234.5", "Sealed", "2026-04-12"),
            (row["panel"], row["name"], row["length (mm)"], row["last done"], row["last done on"])
        );
        Assert.Equal("Butyl tape 40 x 10", row["product"]);
        Assert.Equal("two\nlines, and a \"quote\"", row["notes"]);
        Assert.Equal("", Read(JointsCsv.Write([("Roof", Joint with { History = [] }, null)]))[0]["product"]);
    }

    [Fact]
    public void An_opening_comes_back_as_it_is_cut_turned()
    {
        var fitting = new Fitting(
            "Skylight",
            FittingKind.RoofSkylight,
            new RoundedRectangle(700, 500, 60),
            1,
            3,
            new RoundedRectangle(697, 497, 58),
            new RoundedRectangle(800, 600, 90),
            30,
            PerSide.All(20),
            11,
            false,
            null,
            PerSide.All(0),
            1,
            8,
            null,
            null
        );
        var opening = new Opening(
            "Over the wheel",
            "f",
            new PanelPoint(2732.25, -3),
            90,
            28,
            new Schools(RibInTheWay.Keep, CutSize.WasteSide),
            OpeningState.Planned,
            null,
            ""
        );
        var standing = new OpeningStanding(JudgementState.NeedsWork, "Can be cut, with work", "swages", "Measure the hole", NextPlace.AsCut);
        Dictionary<string, string> row = Assert.Single(Read(OpeningsCsv.Write([new OpeningLine("Roof", opening, fitting, standing, null)])));
        Assert.Equal(
            ("500", "700", "2732.3", "-3", "NeedsWork", "Measure the hole"),
            (row["cut-out width (mm)"], row["cut-out height (mm)"], row["s (mm)"], row["t (mm)"], row["verdict"], row["next"])
        );
    }

    [Fact]
    public void Figures_are_rounded_to_what_was_measured_and_the_file_says_its_letters_and_units()
    {
        string csv = FindingsCsv.Write([
            (
                "Dach",
                new Finding(
                    "Größe",
                    FindingKind.SurfaceRust,
                    FindingShape.Point,
                    [new(116.71666666666667, -0.0001)],
                    ViewedFrom.Outside,
                    Severity.Minor,
                    new FindingMeasures(0.30000000000000004, 1e-7, null, 12.25),
                    FindingState.Open,
                    "Ida",
                    new DateTimeOffset(2026, 4, 11, 11, 30, 5, 123, TimeSpan.FromHours(2)),
                    ""
                )
            ),
        ]);
        Assert.Equal('\uFEFF', csv[0]);
        Dictionary<string, string> row = Assert.Single(Read(csv));
        Assert.Equal(
            ("116.7", "0", "0.3", "0", "12.3", "2026-04-11T09:30:05Z"),
            (row["s (mm)"], row["t (mm)"], row["length (mm)"], row["width (mm)"], row["moisture (%)"], row["seen at (UTC)"])
        );
    }

    [Fact] // A cell that begins like a formula would be run: the usual guard is an apostrophe before it
    public void Whatever_somebody_writes_comes_back_and_is_never_run() =>
        Gen.String[Gen.Char["=+-@ab,;\"'\n\r\t €"], 0, 12]
            .Holds(
                notes =>
                {
                    string back = Read(JointsCsv.Write([("Roof", Joint with { Notes = notes }, null)]))[0]["notes"];
                    bool guarded = notes.Length > 0 && "=+-@\t\r".Contains(notes[0]);
                    return back == (guarded ? "'" + notes : notes) && (back.Length == 0 || !"=+-@\t\r".Contains(back[0]));
                },
                cases: 500
            );

    private static List<Dictionary<string, string>> Read(string text)
    {
        using var csv = new CsvReader(new StringReader(text.TrimStart('\uFEFF')), CultureInfo.InvariantCulture);
        csv.Read();
        csv.ReadHeader();
        var rows = new List<Dictionary<string, string>>();
        while (csv.Read())
            rows.Add(csv.HeaderRecord!.ToDictionary(h => h, h => csv.GetField(h)!));
        return rows;
    }
}
