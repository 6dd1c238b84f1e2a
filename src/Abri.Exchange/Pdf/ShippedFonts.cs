using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>The typeface that ships with the program, so that sheets look alike on every machine.</summary>
internal static class ShippedFonts
{
    private static readonly SKTypeface Regular = Load("Barlow-Regular");
    private static readonly SKTypeface Strong = Load("Barlow-SemiBold");

    /// <summary>A font of the typeface.</summary>
    /// <param name="sizeMm">Size, mm.</param>
    /// <param name="strong">Whether it is semi-bold.</param>
    public static SKFont Of(double sizeMm, bool strong = false) => new(strong ? Strong : Regular, (float)sizeMm)
    {
        // Sizes are in millimetres and so a few units high: without this, advances are rounded to whole units.
        Subpixel = true,
        LinearMetrics = true,
        Hinting = SKFontHinting.None,
    };

    private static SKTypeface Load(string face)
    {
        using Stream resource = typeof(ShippedFonts).Assembly.GetManifestResourceStream($"Abri.Exchange.Fonts.{face}.ttf")!;
        return SKTypeface.FromStream(resource);
    }
}
