using System.Diagnostics;
using System.Globalization;
using Abri.Core.Geometry;

namespace Abri.Exchange.Tests;

/// <summary>Looks at a PDF with Debian's poppler-utils, which know nothing of this program.</summary>
internal static class Poppler
{
    /// <summary>Pages of the file, and the size of one, mm.</summary>
    public static (int Pages, double WidthMm, double HeightMm) Info(byte[] pdf, int page)
    {
        string text = WithFile(pdf, file => System.Text.Encoding.UTF8.GetString(Run("pdfinfo", "-f", $"{page}", "-l", $"{page}", file)));
        string[] lines = text.Split('\n');
        string size = lines.Single(l => l.StartsWith("Page") && l.Contains("size:") && l.Contains(" x "));
        string[] words = size[(size.IndexOf(':') + 1)..].Split(' ', StringSplitOptions.RemoveEmptyEntries);
        const double mmPerPoint = 25.4 / 72;
        int pages = int.Parse(lines.Single(l => l.StartsWith("Pages:"))[6..], CultureInfo.InvariantCulture);
        return (
            pages,
            double.Parse(words[0], CultureInfo.InvariantCulture) * mmPerPoint,
            double.Parse(words[2], CultureInfo.InvariantCulture) * mmPerPoint
        );
    }

    /// <summary>The size of each page, mm.</summary>
    public static IReadOnlyList<(double WidthMm, double HeightMm)> Sizes(byte[] pdf)
    {
        string text = WithFile(pdf, file => System.Text.Encoding.UTF8.GetString(Run("pdftotext", "-bbox", file, "-")));
        const double mmPerPoint = 25.4 / 72;
        return
        [
            .. text.Split('\n')
                .Where(l => l.TrimStart().StartsWith("<page "))
                .Select(l => l.Split('"'))
                .Select(l =>
                    (double.Parse(l[1], CultureInfo.InvariantCulture) * mmPerPoint, double.Parse(l[3], CultureInfo.InvariantCulture) * mmPerPoint)
                ),
        ];
    }

    /// <summary>A page as grey values, ten points to the millimetre.</summary>
    public static (int Width, int Height, byte[] Grey) Raster(byte[] pdf, int page)
    {
        byte[] pgm = WithFile(pdf, file => Run("pdftoppm", "-gray", "-r", "254", "-aa", "no", "-f", $"{page}", "-l", $"{page}", file));
        int at = 0;
        string Word()
        {
            int start = at;
            while (pgm[at] > ' ')
                at++;
            return System.Text.Encoding.ASCII.GetString(pgm, start, at++ - start);
        }
        Xunit.Assert.Equal("P5", Word());
        int width = int.Parse(Word(), CultureInfo.InvariantCulture),
            height = int.Parse(Word(), CultureInfo.InvariantCulture);
        Word();
        return (width, height, pgm[at..]);
    }

    public static string Text(byte[] pdf) => WithFile(pdf, file => System.Text.Encoding.UTF8.GetString(Run("pdftotext", "-layout", file, "-")));

    /// <summary>Each word of a document with its page and its place there, mm from the top left.</summary>
    public static IReadOnlyList<(int Page, string Word, PanelBox Box)> Words(byte[] pdf)
    {
        string html = WithFile(pdf, file => System.Text.Encoding.UTF8.GetString(Run("pdftotext", "-bbox", file, "-")));
        const double mm = 25.4 / 72;
        var words = new List<(int, string, PanelBox)>();
        int page = 0;
        foreach (string line in html.Split('\n').Select(l => l.Trim()))
        {
            if (line.StartsWith("<page "))
                page++;
            if (!line.StartsWith("<word "))
                continue;
            double At(string name) => double.Parse(line.Split($"{name}=\"")[1].Split('"')[0], CultureInfo.InvariantCulture) * mm;
            words.Add(
                (
                    page,
                    System.Net.WebUtility.HtmlDecode(line.Split('>')[1].Split('<')[0]),
                    new PanelBox(At("xMin"), At("xMax"), At("yMin"), At("yMax"))
                )
            );
        }
        return words;
    }

    private static T WithFile<T>(byte[] pdf, Func<string, T> use)
    {
        string file = Path.GetTempFileName();
        try
        {
            File.WriteAllBytes(file, pdf);
            return use(file);
        }
        finally
        {
            File.Delete(file);
        }
    }

    private static byte[] Run(string program, params string[] arguments)
    {
        using Process process = Process.Start(new ProcessStartInfo(program, arguments) { RedirectStandardOutput = true })!;
        using var output = new MemoryStream();
        process.StandardOutput.BaseStream.CopyTo(output);
        process.WaitForExit();
        Xunit.Assert.Equal(0, process.ExitCode);
        return output.ToArray();
    }
}
