using System.Security.Cryptography;

namespace Abri.Storage;

/// <summary>The folder that holds the bytes of photos, each under the hash of its content, so that one photo is kept once.</summary>
public sealed class PhotoFolder(string path)
{
    /// <summary>Largest photo, bytes.</summary>
    public const int MostBytes = 8 * 1024 * 1024;

    private const string Part = ".part";

    /// <summary>The hash under which a photo is kept.</summary>
    public static string HashOf(byte[] content) => Convert.ToHexStringLower(SHA256.HashData(content));

    /// <summary>Keeps a photo and returns its hash.</summary>
    public string Keep(byte[] content)
    {
        string hash = HashOf(content);
        string file = FileOf(hash);
        if (File.Exists(file))
            return hash;
        Directory.CreateDirectory(path);
        // Written beside and then moved, so that a half-written photo is never found under its hash.
        string part = file + Part + Guid.NewGuid().ToString("N");
        try
        {
            using (var stream = new FileStream(part, FileMode.CreateNew))
            {
                stream.Write(content);
                stream.Flush(flushToDisk: true);
            }
            File.Move(part, file, overwrite: true);
        }
        catch
        {
            File.Delete(part);
            throw;
        }
        return hash;
    }

    /// <summary>Removes what was being written when the program was killed.</summary>
    public void RemoveParts()
    {
        if (!Directory.Exists(path))
            return;
        foreach (string part in Directory.EnumerateFiles(path, $"*{Part}*"))
            File.Delete(part);
    }

    /// <summary>The bytes of a photo, or null when they are not there.</summary>
    public byte[]? Find(string hash) => File.Exists(FileOf(hash)) ? File.ReadAllBytes(FileOf(hash)) : null;

    /// <summary>A hash has only hexadecimal digits, so that it can name no file outside the folder.</summary>
    private string FileOf(string hash) =>
        hash.Length == 64 && hash.All(char.IsAsciiHexDigitLower)
            ? Path.Combine(path, hash)
            : throw new ArgumentException("Not the hash of a photo.", nameof(hash));
}
