namespace Abri.Server.Api;

/// <summary>Reads a file that is sent as the body of a request, up to a limit.</summary>
internal static class RequestFile
{
    /// <summary>The bytes.</summary>
    /// <exception cref="BadHttpRequestException">The file is larger than the limit.</exception>
    public static async Task<byte[]> Read(HttpRequest request, long mostBytes)
    {
        if (request.ContentLength > mostBytes) throw TooLarge(mostBytes);
        using var content = new MemoryStream();
        byte[] part = new byte[81_920];
        for (int read; (read = await request.Body.ReadAsync(part, request.HttpContext.RequestAborted)) > 0;)
        {
            if (content.Length + read > mostBytes) throw TooLarge(mostBytes);
            content.Write(part, 0, read);
        }
        return content.ToArray();
    }

    private static BadHttpRequestException TooLarge(long mostBytes) => new($"The file is larger than {mostBytes / 1024 / 1024} MB.", StatusCodes.Status413PayloadTooLarge);
}
