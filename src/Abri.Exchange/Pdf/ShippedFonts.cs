using System.Globalization;
using System.Text;
using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>Words of one typeface, as they are drawn after one another.</summary>
/// <param name="Face">The typeface.</param>
/// <param name="Text">The words.</param>
internal sealed record TextRun(ShippedFace Face, string Text);

/// <summary>A typeface that ships with the program.</summary>
/// <param name="Typeface">The typeface.</param>
/// <param name="Shaped">Whether its letters join or change places and have to be shaped.</param>
internal sealed record ShippedFace(SKTypeface Typeface, bool Shaped)
{
    /// <summary>What tells which letters it has.</summary>
    public SKFont Letters { get; } = new(Typeface);

    /// <summary>A font of the typeface.</summary>
    /// <param name="sizeMm">Size, mm.</param>
    public SKFont Of(double sizeMm) =>
        new(Typeface, (float)sizeMm)
        {
            // Sizes are in millimetres and so a few units high: without this, advances are rounded to whole units.
            Subpixel = true,
            LinearMetrics = true,
            Hinting = SKFontHinting.None,
        };
}

/// <summary>The typefaces that ship with the program, so that sheets look alike on every machine, and letters of most scripts print.</summary>
/// <remarks>Each letter is taken from the first face that has it: the sheet's own, one for Greek, Cyrillic, Arabic, Hebrew and their like, those of
/// Indian scripts and Thai, and one in parts for Chinese, Japanese and Korean.</remarks>
internal static class ShippedFonts
{
    private static readonly ShippedFace[] Others =
    [
        .. new[] { "Devanagari", "Bengali", "Tamil", "Thai" }.Select(script => Load($"NotoSans{script}-Regular.ttf", true)),
        .. Enumerable.Range(1, 8).Select(part => Load($"WenQuanYiMicroHei-{part}.ttf", true)),
    ];

    private static readonly ShippedFace[] Regular = [Load("Barlow-Regular.ttf", false), Load("DejaVuSans.ttf", true), .. Others];
    private static readonly ShippedFace[] Strong = [Load("Barlow-SemiBold.ttf", false), Load("DejaVuSans-Bold.ttf", true), .. Others];

    /// <summary>The text in runs of one typeface each.</summary>
    public static IReadOnlyList<TextRun> Runs(string text, bool strong)
    {
        ShippedFace[] faces = strong ? Strong : Regular;
        var runs = new List<TextRun>();
        foreach (string letter in Letters(text))
        {
            // Spaces and marks stay with what stands before them, so that words are shaped whole.
            ShippedFace face =
                runs.Count > 0 && Follows(letter) && Has(runs[^1].Face, letter)
                    ? runs[^1].Face
                    : faces.FirstOrDefault(f => Has(f, letter)) ?? faces[^1];
            if (runs.Count > 0 && runs[^1].Face == face)
                runs[^1] = runs[^1] with { Text = runs[^1].Text + letter };
            else
                runs.Add(new TextRun(face, letter));
        }
        return runs;
    }

    /// <summary>What a reader takes for one letter each, with the marks that belong to it.</summary>
    public static IEnumerable<string> Letters(string text)
    {
        for (TextElementEnumerator letters = StringInfo.GetTextElementEnumerator(text); letters.MoveNext(); )
            yield return letters.GetTextElement();
    }

    private static bool Follows(string letter) => char.IsWhiteSpace(letter[0]) || char.IsPunctuation(letter[0]);

    private static bool Has(ShippedFace face, string letter) => letter.EnumerateRunes().All(r => face.Letters.ContainsGlyph(r.Value) || IsSilent(r));

    /// <summary>Joiners, direction marks and their like have no picture of their own.</summary>
    private static bool IsSilent(Rune r) => Rune.GetUnicodeCategory(r) is UnicodeCategory.Format or UnicodeCategory.Control;

    private static ShippedFace Load(string face, bool shaped)
    {
        using Stream resource = typeof(ShippedFonts).Assembly.GetManifestResourceStream($"Abri.Exchange.Fonts.{face}")!;
        return new ShippedFace(SKTypeface.FromStream(resource), shaped);
    }
}
