using System.Globalization;
using System.Xml.Linq;
using Abri.Core.Geometry;

namespace Abri.Exchange.Tests;

public class DrawingFilesTests
{
    private static readonly XNamespace Svg = "http://www.w3.org/2000/svg";
    private readonly Drawing drawing = Sample.Sheet(ViewedFrom.Outside).Drawing;

    [Fact]
    public void Svg_is_in_millimetres_with_named_layers_and_true_arcs()
    {
        XElement root = XDocument.Parse(DrawingSvg.Write(drawing)).Root!;
        Assert.EndsWith("mm", root.Attribute("width")!.Value);
        double width = double.Parse(root.Attribute("width")!.Value[..^2], CultureInfo.InvariantCulture);
        Assert.Equal(width, double.Parse(root.Attribute("viewBox")!.Value.Split(' ')[2], CultureInfo.InvariantCulture));
        XElement cut = root.Elements(Svg + "g").Single(g => g.Attribute("id")!.Value == "CUT");
        Assert.Equal(4, cut.Elements(Svg + "line").Count());
        Assert.All(cut.Elements(Svg + "path"), p => Assert.Contains("A 20 20 0 0 0", p.Attribute("d")!.Value));
        Assert.Equal(4, cut.Elements(Svg + "path").Count());
    }

    [Fact]
    public void Dxf_comes_in_pairs_of_code_and_value_and_ends_as_it_should()
    {
        string[] lines = DrawingDxf.Write(drawing).Split("\r\n");
        Assert.Equal("", lines[^1]);
        Assert.Equal(0, (lines.Length - 1) % 2);
        Assert.Equal(("  0", "EOF"), (lines[^3], lines[^2]));
        Assert.Contains("AC1009", lines);
        Assert.All(lines.Where((_, i) => i % 2 == 0 && i < lines.Length - 1), code => Assert.True(int.TryParse(code, out _)));
    }

    [Theory]
    [InlineData(500, 300, 200, 280)]
    [InlineData(190, 270, 190, 273)]
    [InlineData(1200, 800, 190, 253)]
    public void Tiles_cover_the_drawing_and_overlap_their_neighbours(double width, double height, double tileWidth, double tileHeight)
    {
        var area = new PanelBox(-width / 2, width / 2, -height / 2, height / 2);
        var tiling = Tiling.Of(area, tileWidth, tileHeight);
        Assert.Equal(tiling.Rows * tiling.Columns, tiling.Tiles.Count);
        Assert.True(tiling.Tiles.Min(t => t.Area.SMinMm) <= area.SMinMm + 1e-9 && tiling.Tiles.Max(t => t.Area.SMaxMm) >= area.SMaxMm - 1e-9);
        Assert.True(tiling.Tiles.Min(t => t.Area.TMinMm) <= area.TMinMm + 1e-9 && tiling.Tiles.Max(t => t.Area.TMaxMm) >= area.TMaxMm - 1e-9);
        foreach (Tile tile in tiling.Tiles.Where(t => t.Column > 0))
        {
            Tile before = tiling.Tiles.Single(t => t.Row == tile.Row && t.Column == tile.Column - 1);
            Assert.Equal(Tiling.OverlapMm, before.Area.SMaxMm - tile.Area.SMinMm, 9);
        }
    }
}
