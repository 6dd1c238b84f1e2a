using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using CsCheck;

namespace Abri.Exchange.Tests;

public class ShapesTests
{
    private const string Polyline = """
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
        if (says is not null)
            Assert.Contains(says, problem!.Message);
    }

    [Theory]
    [InlineData("8\nROOF_BOW", "8\nBROOM", "layer \"BROOM\"")]
    [InlineData("43\n60.0", "43\n0.0", "without a width")]
    [InlineData("43\n60.0", "40\n60.0\n 41\n20.0", "width that changes")]
    [InlineData("10\n4200.0\n 20\n850.0", "10\n4200.0\n 20\nNaN", "not a number")]
    [InlineData("10\n4200.0\n 20\n850.0", "10\n2000.0\n 20\n-2000.0", "crosses")]
    [InlineData("LWPOLYLINE", "SPLINE", "SPLINE at line 37")]
    [InlineData("LWPOLYLINE", "INSERT", "is a block")]
    [InlineData("LWPOLYLINE\n", "LWPOLYLINE\n220\n0.7\n", "does not lie flat")]
    [InlineData(" 70\n1\n", " 70\n65\n", "is a mesh")]
    [InlineData("ENTITIES", "BLOCKS", "no section ENTITIES")]
    [InlineData(" 70\n1\n", " 70\n0\n", "not closed")]
    [InlineData("  0\nSECTION", "hello\nSECTION", "Line 1")]
    public void A_dxf_file_that_cannot_be_used_is_refused_by_line(string from, string to, string says) =>
        Assert.Contains(says, Read(Polyline.Replace(from, to), UnitSystem.Mm)!.Message);

    [Fact]
    public void An_outline_and_members_come_out_of_an_svg_file()
    {
        PanelDrawing drawing = Panel(
            SvgShapes.Read(
                """
                <svg xmlns="http://www.w3.org/2000/svg" width="420cm" height="1700mm" viewBox="0 0 4200 1700">
                  <rect id="outline" x="0" y="0" width="4200" height="1700"/>
                  <g id="pillar"><path d="M100 0 L175 0 V1700 H100 Z"/><polygon id="" points="900,0 975,0 975,1700 900,1700"/></g>
                  <line id="side-rib-1" x1="1400" y1="100" x2="1400" y2="1700" stroke-width="40"/>
                </svg>
                """
            )
        );
        Assert.Equal(new PanelBox(0, 4200, 0, 1700), PanelBox.Of(drawing.Outline!));
        Assert.Equal(["Pillar 1", "Pillar 2", "Side rib 1"], drawing.Members.Select(m => m.Name));
        // Y runs down the page and t up the wall.
        Assert.Equal(new PanelPoint(1400, 1600), drawing.Members[2].Footprint.Points[0]);
    }

    [Theory]
    [InlineData(
        "<svg xmlns='http://www.w3.org/2000/svg' width='100' height='100'><rect id='outline' width='10' height='10'/></svg>",
        "how large it is"
    )]
    [InlineData(
        "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm' viewBox='0 0 10'><rect id='outline' width='10' height='10'/></svg>",
        "four numbers"
    )]
    [InlineData(
        "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm'><style>#outline{transform:scale(2)}</style><rect "
            + "id='outline' width='10' height='10'/></svg>",
        "style sheet in the file moves"
    )]
    [InlineData(
        "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm'><rect id='outline' width='10' height='10' "
            + "style='transform:translate(10%,0)'/></svg>",
        "not read here"
    )]
    [InlineData(
        "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm'><path id='outline' d='M0 0H9V9Z M20 20H30V30Z'/></svg>",
        "more than one part"
    )]
    [InlineData(
        "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm'><polygon id='outline' points='0,0 1'/></svg>",
        "cannot be read"
    )]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm'/>", "no polyline")]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm'><use href='other.svg#a'/></svg>", "another file")]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm'><g id='a'><use href='#a'/></g></svg>", "uses itself")]
    [InlineData(
        "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm'><mask id='m'><rect width='9' height='9'/></mask><rect "
            + "id='outline' mask='url(#m)' width='9' height='9'/></svg>",
        "is masked"
    )]
    [InlineData("<svg", "Line 1")]
    [InlineData("<!DOCTYPE x [<!ENTITY a 'aaaaaaaaaa'><!ENTITY b '&a;&a;&a;&a;'>]><svg>&b;</svg>", "not SVG")]
    [InlineData("<html/>", "not SVG")]
    public void An_svg_file_that_cannot_be_used_is_refused_by_element(string svg, string says) => Assert.Contains(says, Read(svg, null)!.Message);

    [Theory] // Sizes by hand from the rules of SVG 1.1 (7.8) and CSS (a pixel is a 96th of an inch); the browser's own geometry is asked in tests/e2e
    [InlineData("width='1000mm' height='250mm' viewBox='0 0 100 50'", "<rect id='OUTLINE' width='100' height='50'/>", 250, 750, 0, 250)]
    [InlineData(
        "width='1000mm' height='250mm' viewBox='0 0 100 50' preserveAspectRatio='none'",
        "<rect id='OUTLINE' width='100' height='50'/>",
        0,
        1000,
        0,
        250
    )]
    [InlineData(
        "width='1000mm' height='250mm' viewBox='0 0 100 50' preserveAspectRatio='xMaxYMid'",
        "<rect id='OUTLINE' width='100' height='50'/>",
        500,
        1000,
        0,
        250
    )]
    [InlineData("width='10in' height='5in'", "<rect id='OUTLINE' width='960' height='480'/>", 0, 254, 0, 127)]
    [InlineData("width='720pt' height='36pc'", "<rect id='OUTLINE' width='1in' height='25.4mm'/>", 0, 25.4, 127, 152.4)]
    [InlineData(
        "width='4200mm' height='1700mm' viewBox='-10 -20 4200 1700'",
        "<g transform='translate(10 20)'><g transform='rotate(90)'><rect id='OUTLINE' x='5' y='-100' width='50' height='30'/></g></g>",
        90,
        120,
        1605,
        1655
    )]
    [InlineData(
        "width='100mm' height='100mm' viewBox='0 0 100 100'",
        "<defs><rect id='o' width='10' height='20'/></defs><g id='OUTLINE'><use href='#o' x='5' y='5'/></g>",
        5,
        15,
        75,
        95
    )]
    [InlineData(
        "width='100mm' height='100mm' viewBox='0 0 100 100'",
        "<svg x='10' y='10' width='50' height='50' viewBox='0 0 5 5'><rect id='OUTLINE' width='2' height='3'/></svg>",
        10,
        30,
        60,
        90
    )]
    [InlineData(
        "width='100mm' height='100mm' viewBox='0 0 100 100'",
        "<rect id='OUTLINE' width='10' height='10' style='transform: translate(20px, 30px)'/>",
        20,
        30,
        60,
        70
    )]
    [InlineData(
        "width='100mm' height='100mm' viewBox='0 0 100 100'",
        "<clipPath id='c'><rect width='30' height='100'/></clipPath><rect id='OUTLINE' x='10' clip-path='url(#c)' width='50' height='10'/>",
        10,
        30,
        90,
        100
    )]
    public void An_svg_file_has_the_size_that_its_rules_give(string head, string shape, double left, double right, double foot, double top)
    {
        PanelBox box = PanelBox.Of(Panel(SvgShapes.Read($"<svg xmlns='http://www.w3.org/2000/svg' {head}>{shape}</svg>")).Outline!);
        Assert.Equal(left, box.SMinMm, 2);
        Assert.Equal(right, box.SMaxMm, 2);
        Assert.Equal(foot, box.TMinMm, 2);
        Assert.Equal(top, box.TMaxMm, 2);
    }

    [Fact]
    public void What_is_hidden_or_no_shape_is_left_out_and_named_and_names_come_from_the_nearest_known_group()
    {
        PanelDrawing drawing = Panel(
            SvgShapes.Read(
                """
                <svg xmlns="http://www.w3.org/2000/svg" xmlns:ed="urn:editor" width="1000mm" height="500mm" viewBox="0 0 1000 500">
                  <style>.off { display: none } .thick { stroke: black; stroke-width: 40 }</style>
                  <rect id="OUTLINE" width="1000" height="500" rx="80"/>
                  <rect id="ROOF_BOW_1" x="5" y="5" width="50" height="490"/><use href="#ROOF_BOW_1" x="200"/>
                  <g class="off"><rect id="SEAM" width="5" height="5"/></g>
                  <rect id="PILLAR" visibility="hidden" width="5" height="5"/>
                  <text id="words">here</text>
                  <g id="layer1" ed:label="Swage"><line id="line73" class="thick" x1="100" y1="10" x2="100" y2="400"/></g>
                </svg>
                """
            )
        );
        Assert.Equal(["Roof bow 1", "Roof bow 2", "Swage 1"], drawing.Members.Select(m => m.Name).Order());
        Assert.Equal(40, drawing.Members.Single(m => m.Kind == MemberKind.Swage).Footprint.WidthMm, 3);
        Assert.Equal(
            ["<rect id=\"PILLAR\"> at line 6 (hidden)", "<rect id=\"SEAM\"> at line 5 (hidden)", "<text id=\"words\"> at line 7"],
            drawing.LeftOut.Order()
        );
        // Rounded corners by hand: 1000 x 500 less (4 - pi) 80^2.
        Assert.Equal((1000 * 500) - ((4 - Math.PI) * 80 * 80), Math.Abs(Outlines.SignedAreaMm2(drawing.Outline!)), 15.0);
    }

    [Theory]
    [InlineData(20_000)]
    [InlineData(100_000)]
    public void Groups_without_end_are_refused_at_once(int depth)
    {
        Assert.Equal(
            "drawing-too-deep",
            Read(
                "<svg xmlns='http://www.w3.org/2000/svg' width='1mm' "
                    + $"height='1mm'>{string.Concat(Enumerable.Repeat("<g>", depth))}{string.Concat(Enumerable.Repeat("</g>", depth))}</svg>",
                null
            )!.Code
        );
    }

    [Fact] // Each uses the one before it ten times: a billion shapes in ten lines
    public void Uses_of_uses_are_counted_before_they_are_drawn()
    {
        string uses = string.Concat(
            Enumerable.Range(1, 9).Select(i => $"<g id='g{i}'>{string.Concat(Enumerable.Repeat($"<use href='#g{i - 1}'/>", 10))}</g>")
        );
        Assert.Equal(
            "drawing-too-long",
            Read($"<svg xmlns='http://www.w3.org/2000/svg' width='1mm' height='1mm'><rect id='g0' width='1' height='1'/>{uses}</svg>", null)!.Code
        );
        string chain = string.Concat(Enumerable.Range(1, 5000).Reverse().Select(i => $"<use id='g{i}' href='#g{i - 1}'/>"));
        Assert.Equal(
            "drawing-too-deep",
            Read($"<svg xmlns='http://www.w3.org/2000/svg' width='1mm' height='1mm'><rect id='g0' width='1' height='1'/>{chain}</svg>", null)!.Code
        );
    }

    [Fact]
    public void A_dxf_file_seen_from_behind_is_mirrored_and_paper_space_and_hidden_layers_are_left_out()
    {
        PanelDrawing drawing = Panel(
            DxfShapes.Read(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "reference", "mirrored-and-paperspace.dxf")), UnitSystem.Mm)
        );
        Assert.Equal(new PanelBox(0, 1000, 0, 500), PanelBox.Of(drawing.Outline!));
        Assert.NotEmpty(drawing.LeftOut);
    }

    [Fact] // Bulge 1 is half a circle; an arc and two lines that meet are one outline; radius and area by hand
    public void Bulges_arcs_and_lines_that_meet_make_outlines()
    {
        string Dxf(string entities) =>
            "  0\nSECTION\n  2\nTABLES\n  0\nLAYER\n  2\nSEAM\n 70\n1\n 62\n7\n  0\nLAYER\n  2\nWIRING\n 70\n0\n 62\n-3\n  "
            + $"0\nENDSEC\n  0\nSECTION\n  2\nENTITIES\n{entities}  0\nENDSEC\n  0\nEOF\n";
        string Entity(string kind, string layer, params (int Code, double Value)[] groups) =>
            $"  0\n{kind}\n  8\n{layer}\n{string.Concat(groups.Select(g => $"{g.Code}\n{g.Value}\n"))}";
        double half = Math.PI * 100 * 100 / 2;
        PanelDrawing bulged = Panel(
            DxfShapes.Read(Dxf(Entity("LWPOLYLINE", "OUTLINE", (70, 1), (10, -100), (20, 0), (42, 1), (10, 100), (20, 0), (42, 0))), UnitSystem.Mm)
        );
        Assert.Equal(half, Math.Abs(Outlines.SignedAreaMm2(bulged.Outline!)), 20.0);
        Assert.Equal(-100, PanelBox.Of(bulged.Outline!).TMinMm, 1);
        PanelDrawing pieces = Panel(
            DxfShapes.Read(
                Dxf(
                    Entity("ARC", "OUTLINE", (10, 0), (20, 0), (40, 100), (50, 0), (51, 180))
                        + Entity("LINE", "OUTLINE", (10, 0), (20, 0), (11, 100), (21, 0))
                        + Entity("LINE", "OUTLINE", (10, 0), (20, 0), (11, -100), (21, 0))
                        + Entity("LINE", "SEAM", (10, 0), (20, 0), (11, 9), (21, 0))
                        + Entity("LINE", "WIRING", (10, 0), (20, 0), (11, 9), (21, 0))
                        + Entity("TEXT", "OUTLINE", (10, 0), (20, 0))
                ),
                UnitSystem.Mm
            )
        );
        Assert.Equal(half, Math.Abs(Outlines.SignedAreaMm2(pieces.Outline!)), 20.0);
        Assert.Equal(3, pieces.LeftOut.Count);
        PanelDrawing round = Panel(DxfShapes.Read(Dxf(Entity("CIRCLE", "OUTLINE", (10, 5), (20, 5), (40, 100))), UnitSystem.Mm));
        Assert.Equal(2 * half, Math.Abs(Outlines.SignedAreaMm2(round.Outline!)), 40.0);
    }

    [Theory] // Our own sheets, read back: the cut-out with its arcs
    [InlineData(true)]
    [InlineData(false)]
    public void A_sheet_that_was_written_here_comes_back_as_the_same_outline(bool svg)
    {
        OpeningSheet sheet = Sample.Sheet(ViewedFrom.Outside);
        PanelDrawing back = Panel(
            svg ? SvgShapes.Read(DrawingSvg.Write(sheet.Drawing)) : DxfShapes.Read(DrawingDxf.Write(sheet.Drawing), UnitSystem.Mm)
        );
        RoundedRectangle cut = sheet.SettingOut.CutOut with { HeightMm = sheet.SettingOut.LinesHeightMm };
        PanelBox box = PanelBox.Of(back.Outline!);
        Assert.Equal(cut.WidthMm, box.WidthMm, 2);
        Assert.Equal(cut.HeightMm, box.HeightMm, 2);
        Assert.Equal((cut.WidthMm * cut.HeightMm) - ((4 - Math.PI) * 20 * 20), Math.Abs(Outlines.SignedAreaMm2(back.Outline!)), 5.0);
        Assert.Contains(back.LeftOut, l => l.Contains("FLANGE"));
    }

    [Fact] // Whatever a file holds: an answer, never an exception
    public void Any_text_is_answered() =>
        Gen.Select(Gen.String[0, 200], Gen.Int[0, 900], Gen.Int[0, 900])
            .Holds(
                (noise, from, length) =>
                {
                    string text = Polyline
                        .Remove(Math.Min(from, Polyline.Length), Math.Min(length, Math.Max(0, Polyline.Length - from)))
                        .Insert(Math.Min(from, Polyline.Length) / 2, noise);
                    _ = Read(text, UnitSystem.Mm);
                    _ = Read("<svg width='1mm' height='1mm'>" + noise + "</svg>", null);
                    _ = SectionsCsv.Read(noise);
                    _ = VehicleBundle.Read(System.Text.Encoding.UTF8.GetBytes(noise));
                },
                cases: 2000
            );

    private static Problem? Read(string text, UnitSystem? unit)
    {
        Result<DrawnShapes> read = text.StartsWith('<') ? SvgShapes.Read(text) : DxfShapes.Read(text, unit);
        return read.IsOk(out DrawnShapes? shapes, out Problem? problem) ? ReadShapes.AsPanel(shapes).Problem : problem;
    }

    private static PanelDrawing Panel(Result<DrawnShapes> read)
    {
        Assert.True(read.IsOk(out var shapes, out var problem), problem?.Message);
        Assert.True(ReadShapes.AsPanel(shapes).IsOk(out var drawing, out problem), problem?.Message);
        return drawing;
    }
}
