using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Exchange;
using Abri.Exchange.Pdf;
using BenchmarkDotNet.Attributes;
using SkiaSharp;

namespace Abri.Bench;

/// <summary>The tiled template on A4; bar: 400 ms.</summary>
[MemoryDiagnoser(false)]
public class SheetBench
{
    private OpeningSheet sheet = null!;

    [GlobalSetup]
    public void Prepare()
    {
        Site site = HundredMembers.Site;
        var marked = SettingOut.Of(site, HundredMembers.Centre, new Marking(ViewedFrom.Inside, 3.175, 12, CutSize.WasteSide)).Value!;
        sheet = new OpeningSheet(
            "Bench",
            "Vent",
            Facing.Up,
            site.Fitting,
            marked.Result,
            OpeningDrawing.Of("Vent", site.Panel, site.Fitting, marked.Result, LengthFormat.Millimetres).Value!,
            OpeningVerdict.Of(site, HundredMembers.Centre).Value!.Result,
            [],
            LengthFormat.Millimetres,
            new DateOnly(2026, 1, 1)
        );
    }

    [Benchmark]
    public int TiledPdf() => OpeningPdf.Write(sheet, Paper.A4).Length;

    /// <summary>Reference: as many empty pages by the same library.</summary>
    [Benchmark]
    public long EmptyPages()
    {
        using var bytes = new MemoryStream();
        using (var document = SKDocument.CreatePdf(bytes))
        {
            for (int i = 0; i < 7; i++)
            {
                document.BeginPage(595, 842);
                document.EndPage();
            }
            document.Close();
        }
        return bytes.Length;
    }
}
