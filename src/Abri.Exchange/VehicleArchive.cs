using System.IO.Compression;
using Abri.Core;
using Abri.Core.Record;

namespace Abri.Exchange;

/// <summary>A vehicle with its photos as one zip: the vehicle file inside, and beside it every photo under its hash.</summary>
/// <remarks>The same vehicle gives the same bytes: entries stand in one order and bear one date.</remarks>
public static class VehicleArchive
{
    /// <summary>Name of the vehicle file inside.</summary>
    public const string RecordEntry = "vehicle.abri.json";

    /// <summary>Largest vehicle file inside, bytes.</summary>
    public const int MostRecordBytes = 32 * 1024 * 1024;

    /// <summary>Earliest date that a zip can tell.</summary>
    private static readonly DateTimeOffset NoDate = new(1980, 1, 1, 0, 0, 0, TimeSpan.Zero);

    /// <summary>Whether a file is a zip, by how it begins.</summary>
    public static bool IsOne(ReadOnlySpan<byte> start) => start.StartsWith("PK\u0003\u0004"u8);

    /// <summary>Writes the zip.</summary>
    /// <param name="record">The vehicle, without the content of photos.</param>
    /// <param name="photo">Bytes of a photo by its hash; null when they are not there: it is left out, and the file says what it was.</param>
    /// <param name="to">Where it is written; stays open.</param>
    public static void Write(VehicleRecord record, Func<string, byte[]?> photo, Stream to)
    {
        using var zip = new ZipArchive(to, ZipArchiveMode.Create, leaveOpen: true);
        Add(zip, RecordEntry, VehicleBundle.Write(record), CompressionLevel.Optimal);
        // A photo is packed already.
        foreach (PhotoRecord one in PhotosOf(record).DistinctBy(p => p.Sha256).OrderBy(p => p.Sha256, StringComparer.Ordinal))
            if (photo(one.Sha256) is { } content)
                Add(zip, EntryOf(one), content, CompressionLevel.NoCompression);
    }

    /// <summary>Reads a zip; like a vehicle file, it is not yet held against ranges and against itself.</summary>
    /// <param name="file">The zip; it can be read from any place.</param>
    /// <param name="mostPhotoBytes">Largest photo, bytes.</param>
    /// <returns>The record with the photos that are there, or what is wrong with the file.</returns>
    public static Result<VehicleRecord> Read(Stream file, int mostPhotoBytes)
    {
        try
        {
            using var zip = new ZipArchive(file, ZipArchiveMode.Read, leaveOpen: true);
            ILookup<string, ZipArchiveEntry> entries = zip.Entries.ToLookup(e => e.FullName);
            if (entries[RecordEntry].Count() != 1)
                return new Problem(
                    "archive-record",
                    "",
                    $"A vehicle's zip has one file {RecordEntry} in it; this one has {entries[RecordEntry].Count()}. Choose one that Abri saved."
                );
            if (Content(entries[RecordEntry].Single(), MostRecordBytes) is not { } written)
                return new Problem(
                    "archive-too-large",
                    "",
                    $"{RecordEntry} in the zip is larger than {MostRecordBytes / 1024 / 1024} MB: this is not a file that Abri saved."
                );
            if (!VehicleBundle.Read(written).IsOk(out VehicleRecord? record, out Problem? problem))
                return problem;
            var contents = new Dictionary<string, byte[]>();
            foreach (PhotoRecord photo in PhotosOf(record).DistinctBy(p => p.Sha256))
            {
                if (entries[EntryOf(photo)].FirstOrDefault() is not { } entry)
                    continue;
                if (Content(entry, mostPhotoBytes) is not { } content)
                    return new Problem("photo-type", "", $"{entry.FullName} in the zip is larger than {mostPhotoBytes / 1024 / 1024} MB.");
                contents[photo.Sha256] = content;
            }
            return record with
            {
                Panels =
                [
                    .. record.Panels.Select(p =>
                        p with
                        {
                            Findings =
                            [
                                .. p.Findings.Select(f =>
                                    f with
                                    {
                                        Photos = [.. f.Photos.Select(o => o with { Content = contents.GetValueOrDefault(o.Sha256) ?? o.Content })],
                                    }
                                ),
                            ],
                        }
                    ),
                ],
            };
        }
        catch (InvalidDataException)
        {
            return new Problem("archive-unreadable", "", "The zip is damaged or was cut short: save it again where it came from, or send it again.");
        }
    }

    /// <summary>The photos of a vehicle.</summary>
    public static IEnumerable<PhotoRecord> PhotosOf(VehicleRecord record) => record.Panels.SelectMany(p => p.Findings).SelectMany(f => f.Photos);

    private static string EntryOf(PhotoRecord photo) => $"photos/{photo.Sha256}.{photo.Type.Split('/')[1]}";

    private static void Add(ZipArchive zip, string name, byte[] content, CompressionLevel level)
    {
        ZipArchiveEntry entry = zip.CreateEntry(name, level);
        entry.LastWriteTime = NoDate;
        using Stream to = entry.Open();
        to.Write(content);
    }

    /// <summary>The bytes of an entry, or null when it is larger; what its head says of its size is not believed.</summary>
    private static byte[]? Content(ZipArchiveEntry entry, int mostBytes)
    {
        using Stream from = entry.Open();
        using var content = new MemoryStream();
        byte[] part = new byte[81_920];
        for (int read; (read = from.Read(part)) > 0; )
        {
            if (content.Length + read > mostBytes)
                return null;
            content.Write(part, 0, read);
        }
        return content.ToArray();
    }
}
