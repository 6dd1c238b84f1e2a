using System.Globalization;
using System.Text;
using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using CsvHelper;

namespace Abri.Exchange.Tests;

public class TablesTests
{
    [Theory]
    [InlineData("station,t,depth\n900,-600,12.5\n900,0,0\n1800,-600,14\n1800,0,1")]
    [InlineData("900;-600;12,5\n900;0;0\n1800;-600;14\n1800;0;1\n")]
    [InlineData("900\t-600\t12,5\r\n900\t0\t0\r\n\r\n1800\t-600\t14\r\n1800\t0\t1")]
    [InlineData("station,t,depth,edge\n900,-600,12,0\n900,0,0,0\n1800,-600,14,0\n1800,0,1,0", 12.0)]
    [InlineData("sep=;\r\nstation (mm);t (mm);depth (mm)\r\n900;-600;12,5\r\n900;0;0\r\n1800;-600;14\r\n1800;0;1")]
    [InlineData("\"900\",\"-600\",\"12.5\",0\n900,0,0,0\n1800,-600,14,0\n1800,0,1,0")]
    public void Sections_come_out_of_csv_of_any_country(string text, double deep = 12.5)
    {
        Assert.True(SectionsCsv.Read(text).IsOk(out var sections, out var problem), problem?.Message);
        Assert.Equal([900, 1800], sections.Select(s => s.StationMm));
        Assert.Equal([new DepthReading(-600, deep), new DepthReading(0, 0)], sections[0].Readings);
    }

    [Theory]
    [InlineData("900,-600,12\n900,0,deep", "Line 2 column 3, \"deep\"")]
    [InlineData("900,-600,NaN\n900,0,1", "Line 1 column 3")]
    [InlineData("900,-600,1e99\n900,0,1", "Line 1 column 3")]
    [InlineData("900,-600\n900,0", "Line 1 has 2 column(s)")]
    [InlineData("900,0,4\n900,0,9", "two readings at 0 mm: 4 and 9 mm deep")]
    [InlineData("100,-800,1,5\n100,0,2,25", "can be read two ways")]
    [InlineData("100,-800,1\n100,0,2,25", "can be read two ways")]
    [InlineData("100,5,-800,1,5", "part them by semicolons")]
    [InlineData("100;-800;1;5\n100;0;2;6", "different heights of its straight-edge: 5 and 6")]
    [InlineData("station (in),t (in),depth (in)\n35,-24,0.5\n35,0,0", "read in mm")]
    [InlineData("station/m;t/m;depth/cm\n9;-6;1\n9;0;0", "read in mm")]
    [InlineData("900,0,4", "Take at least 2")]
    [InlineData("", "no reading")]
    public void A_table_that_cannot_be_used_is_refused_by_line(string text, string says)
    {
        Assert.False(SectionsCsv.Read(text).IsOk(out _, out Problem? problem));
        Assert.Contains(says, problem.Message);
    }

    [Fact] // Read back with CsvHelper
    public void Findings_are_written_one_a_line_and_no_cell_is_a_formula()
    {
        var finding = new Finding(
            "=Seam, \"left\"",
            FindingKind.OpenSeam,
            FindingShape.Point,
            [new(4200, 800)],
            ViewedFrom.Outside,
            Severity.Severe,
            new FindingMeasures(140, null, null, null),
            FindingState.Open,
            "Ida",
            new DateTimeOffset(2026, 4, 11, 9, 30, 0, TimeSpan.Zero),
            "two\nlines"
        );
        // Read from bytes, as a spreadsheet does: the mark before the heads tells that they are UTF-8.
        byte[] file = Encoding.UTF8.GetBytes(FindingsCsv.Write([("Roof", finding)]));
        Assert.Equal(Encoding.UTF8.Preamble.ToArray(), file[..3]);
        using var csv = new CsvReader(new StreamReader(new MemoryStream(file)), CultureInfo.InvariantCulture);
        csv.Read();
        csv.ReadHeader();
        Assert.True(csv.Read());
        Assert.Equal(
            ("Roof", "'=Seam, \"left\"", "4200", "140", "", "two\nlines"),
            (csv["panel"], csv["name"], csv["s (mm)"], csv["length (mm)"], csv["width (mm)"], csv["notes"])
        );
        Assert.False(csv.Read());
    }
}
