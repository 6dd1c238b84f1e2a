using Abri.Core;
using SkiaSharp;

namespace Abri.Exchange;

/// <summary>Looks at the file of a photo before it is kept: what it is, and whether it can be shown.</summary>
public static class PhotoFile
{
    /// <summary>Most pixels of a photo: what a browser on a phone still shows, an assumption.</summary>
    public const long MostPixels = 50_000_000;

    /// <summary>The media type by the content, whatever the file is called; or why it is not taken.</summary>
    /// <remarks>Only the head is read and the first rows of the picture: nothing as large as the picture is built.</remarks>
    public static Result<string> TypeOf(byte[] content)
    {
        using var data = SKData.CreateCopy(content);
        using SKCodec? codec = SKCodec.Create(data);
        string? type = codec?.EncodedFormat switch
        {
            SKEncodedImageFormat.Jpeg => "image/jpeg",
            SKEncodedImageFormat.Png => "image/png",
            SKEncodedImageFormat.Webp => "image/webp",
            _ => null,
        };
        if (codec is null || type is null)
            return new Problem("photo-type", "", "This is not a photo that can be kept, whatever it is called: JPEG, PNG and WebP are.");
        (int width, int height) = (codec.Info.Width, codec.Info.Height);
        return (long)width * height > MostPixels
            ? new Problem(
                "photo-too-large",
                "",
                $"The photo has {width} by {height} pixels; at most {MostPixels / 1_000_000} million are kept. Make it smaller first."
            )
            : type;
    }
}
