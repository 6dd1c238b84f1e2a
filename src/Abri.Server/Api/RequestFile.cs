using Microsoft.AspNetCore.Mvc;

namespace Abri.Server.Api;

/// <summary>Reads a file that is sent as the body of a request, up to a limit.</summary>
internal static class RequestFile
{
    /// <summary>
    /// For endpoints that take files: how much may be sent at all, bytes. What is over the file's own limit is read and thrown away, since a
    /// connection that is cut while the browser still sends shows no answer.
    /// </summary>
    public static RequestSizeLimitAttribute MostSent { get; } = new(200 * 1024 * 1024);

    /// <summary>The bytes.</summary>
    /// <exception cref="BadHttpRequestException">The file is larger than the limit.</exception>
    public static async Task<byte[]> Read(HttpRequest request, long mostBytes)
    {
        using var content = new MemoryStream();
        await CopyTo(content, request, mostBytes);
        return content.ToArray();
    }

    /// <summary>Writes the bytes elsewhere.</summary>
    /// <exception cref="BadHttpRequestException">The file is larger than the limit.</exception>
    public static async Task CopyTo(Stream to, HttpRequest request, long mostBytes)
    {
        byte[] part = new byte[81_920];
        long all = 0;
        for (int read; (read = await request.Body.ReadAsync(part, request.HttpContext.RequestAborted)) > 0; )
        {
            all += read;
            if (all <= mostBytes)
                await to.WriteAsync(part.AsMemory(0, read), request.HttpContext.RequestAborted);
        }
        if (all > mostBytes)
            throw TooLarge(mostBytes);
    }

    /// <summary>What is answered when a file is larger than the limit.</summary>
    public static BadHttpRequestException TooLarge(long mostBytes) =>
        new($"The file is larger than {mostBytes / 1024 / 1024} MB.", StatusCodes.Status413PayloadTooLarge);
}
