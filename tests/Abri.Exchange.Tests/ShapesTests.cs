using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using CsCheck;

namespace Abri.Exchange.Tests;

public class ShapesTests
{
    private const string Polyline =
        """
          0
        SECTION
          2
        ENTITIES
          0
        POLYLINE
          8
        OUTLINE
         70
        1
          0
        VERTEX
         10
        0.0
         20
        -850.0
          0
        VERTEX
         10
        4200.0
         20
        -850.0
          0
        VERTEX
         10
        4200.0
         20
        850.0
          0
        VERTEX
         10
        0.0
         20
        850.0
          0
        SEQEND
          0
        LWPOLYLINE
          8
        ROOF_BOW
         70
        0
         43
        60.0
         10
        590.0
         20
        -850.0
         10
        590.0
         20
        850.0
          0
        ENDSEC
          0
        EOF
        """;

    [Fact]
    public void An_outline_and_a_bow_come_out_of_a_dxf_file()
    {
        PanelDrawing drawing = Panel(DxfShapes.Read(Polyline, UnitSystem.Mm));
        Assert.Equal(new PanelPoint[] { new(0, -850), new(4200, -850), new(4200, 850), new(0, 850) }, drawing.Outline);
        Member bow = Assert.Single(drawing.Members);
        Assert.Equal((MemberKind.RoofBow, MemberRole.Secondary, 60, "Roof bow 1"), (bow.Kind, bow.Role, bow.Footprint.WidthMm, bow.Name));
        Assert.Equal(160 * 25.4, Panel(DxfShapes.Read(Polyline.Replace("4200.0", "160.0"), UnitSystem.Inch)).Outline![1].SMm);
    }

    [Theory]
    [InlineData(null, "drawing-units", "does not say in which unit")]
    [InlineData("4", null, null)]
    [InlineData("1", "drawing-units", "another unit")]
    [InlineData("19", null, null)]
    public void The_unit_of_a_dxf_file_is_never_guessed(string? stated, string? code, string? says)
    {
        string head = stated is null ? "" : $"  0\nSECTION\n  2\nHEADER\n  9\n$INSUNITS\n 70\n{stated}\n  0\nENDSEC\n";
        Problem? problem = Read(head + Polyline, stated is null ? null : UnitSystem.Mm);
        Assert.Equal(code, problem?.Code);
        if (says is not null) Assert.Contains(says, problem!.Message);
    }

    [Theory]
    [InlineData("8\nROOF_BOW", "8\nBROOM", "layer \"BROOM\"")]
    [InlineData("43\n60.0", "43\n0.0", "without a width")]
    [InlineData("10\n4200.0\n 20\n850.0", "10\n4200.0\n 20\nNaN", "not a number")]
    [InlineData("10\n4200.0\n 20\n850.0", "10\n2000.0\n 20\n-2000.0", "crosses")]
    [InlineData("LWPOLYLINE", "SPLINE", "SPLINE at line 37")]
    [InlineData("10\n590.0\n 20\n-850.0", "10\n590.0\n 42\n0.5\n 20\n-850.0", "curved edge")]
    [InlineData("ENTITIES", "BLOCKS", "no section ENTITIES")]
    [InlineData(" 70\n1\n", " 70\n0\n", "not closed")]
    [InlineData("  0\nSECTION", "hello\nSECTION", "Line 1")]
    public void A_dxf_file_that_cannot_be_used_is_refused_by_line(string from, string to, string says) =>
        Assert.Contains(says, Read(Polyline.ReplaceLineEndings("\n").Replace("         ", " ").Replace("        ", "").Replace("  0\n", "  0\n").Replace(from, to), UnitSystem.Mm)!.Message);

    [Fact]
    public void An_outline_and_members_come_out_of_an_svg_file()
    {
        PanelDrawing drawing = Panel(SvgShapes.Read(
            """
            <svg xmlns="http://www.w3.org/2000/svg" width="420cm" height="1700mm" viewBox="0 0 4200 1700">
              <rect id="outline" x="0" y="0" width="4200" height="1700"/>
              <g id="pillar"><path d="M100 0 L175 0 V1700 H100 Z"/><polygon id="" points="900,0 975,0 975,1700 900,1700"/></g>
              <line id="side-rib-1" x1="1400" y1="100" x2="1400" y2="1700" stroke-width="40"/>
            </svg>
            """));
        Assert.Equal(new PanelBox(0, 4200, 0, 1700), PanelBox.Of(drawing.Outline!));
        Assert.Equal(["Pillar 1", "Pillar 2", "Side rib 1"], drawing.Members.Select(m => m.Name));
        // Y runs down the page and t up the wall.
        Assert.Equal(new PanelPoint(1400, 1600), drawing.Members[2].Footprint.Points[0]);
    }

    [Theory]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg' width='100' height='100'><rect id='outline' width='10' height='10'/></svg>", "how large it is")]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm'><g transform='scale(2)'><rect id='outline' width='10' height='10'/></g></svg>", "transform")]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm'><circle id='outline' r='10'/></svg>", "round")]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm'><path id='outline' d='M0 0 C 1 1 2 2 3 3 Z'/></svg>", "curved edge")]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm'><polygon id='outline' points='0,0 1'/></svg>", "cannot be read")]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm'/>", "no polyline")]
    [InlineData("<svg", "Line 1")]
    [InlineData("<!DOCTYPE x [<!ENTITY a 'aaaaaaaaaa'><!ENTITY b '&a;&a;&a;&a;'>]><svg>&b;</svg>", "not SVG")]
    [InlineData("<html/>", "not SVG")]
    public void An_svg_file_that_cannot_be_used_is_refused_by_element(string svg, string says) => Assert.Contains(says, Read(svg, null)!.Message);

    [Fact] // Whatever a file holds: an answer, never an exception
    public void Any_text_is_answered() =>
        Gen.Select(Gen.String[0, 200], Gen.Int[0, 900], Gen.Int[0, 900]).Holds((noise, from, length) =>
        {
            string text = Polyline.Remove(Math.Min(from, Polyline.Length), Math.Min(length, Math.Max(0, Polyline.Length - from))).Insert(Math.Min(from, Polyline.Length) / 2, noise);
            _ = Read(text, UnitSystem.Mm);
            _ = Read("<svg width='1mm' height='1mm'>" + noise + "</svg>", null);
            _ = SectionsCsv.Read(noise);
            _ = VehicleBundle.Read(System.Text.Encoding.UTF8.GetBytes(noise));
        }, cases: 2000);

    private static Problem? Read(string text, UnitSystem? unit)
    {
        Result<IReadOnlyList<DrawnShape>> read = text.StartsWith('<') ? SvgShapes.Read(text) : DxfShapes.Read(text, unit);
        return read.IsOk(out IReadOnlyList<DrawnShape>? shapes, out Problem? problem) ? ReadShapes.AsPanel(shapes).Problem : problem;
    }

    private static PanelDrawing Panel(Result<IReadOnlyList<DrawnShape>> read)
    {
        Assert.True(read.IsOk(out var shapes, out var problem), problem?.Message);
        Assert.True(ReadShapes.AsPanel(shapes).IsOk(out var drawing, out problem), problem?.Message);
        return drawing;
    }
}
