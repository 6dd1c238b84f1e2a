using System.Buffers.Binary;
using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;
using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Record;
using Abri.Core.Shell;

namespace Abri.Exchange.Tests;

public class VehicleArchiveTests
{
    private static readonly byte[] First = Encoding.ASCII.GetBytes("bytes of the first photo, which zip keeps as they are");
    private static readonly byte[] Second = RandomNumberGenerator.GetBytes(5000);
    private static readonly Dictionary<string, byte[]> Photos = new[] { First, Second }.ToDictionary(HashOf);

    private static string HashOf(byte[] content) => Convert.ToHexStringLower(SHA256.HashData(content));

    private static PhotoRecord PhotoOf(byte[] content, string type) => new(type, "as found", HashOf(content), content.Length, null);

    private static VehicleRecord Vehicle()
    {
        VehicleRecord whole = VehicleBundleTests.Whole();
        Finding finding = new(
            "Rust",
            FindingKind.SurfaceRust,
            FindingShape.Point,
            [new PanelPoint(900, 0)],
            ViewedFrom.Outside,
            Severity.Minor,
            new FindingMeasures(9, null, null, null),
            FindingState.Open,
            "Ida",
            DateTimeOffset.UnixEpoch,
            ""
        );
        return whole with
        {
            Panels =
            [
                whole.Panels[0] with
                {
                    Findings =
                    [
                        new FindingRecord("finding-1", finding, [PhotoOf(First, "image/jpeg"), PhotoOf(Second, "image/png")]),
                        new FindingRecord("finding-2", finding, [PhotoOf(First, "image/jpeg")]),
                    ],
                },
            ],
        };
    }

    private static byte[] Written(VehicleRecord record)
    {
        using var to = new MemoryStream();
        VehicleArchive.Write(record, Photos.GetValueOrDefault, to);
        return to.ToArray();
    }

    private static Result<VehicleRecord> Read(byte[] file, int most = 10_000)
    {
        using var from = new MemoryStream(file);
        return VehicleArchive.Read(from, most);
    }

    private static string CodeOf(byte[] file, int most = 10_000) => Read(file, most).IsOk(out _, out Problem? problem) ? "" : problem.Code;

    private static byte[] Zip(params (string Name, byte[] Content)[] entries)
    {
        using var to = new MemoryStream();
        using (var zip = new ZipArchive(to, ZipArchiveMode.Create, leaveOpen: true))
            foreach ((string name, byte[] content) in entries)
            {
                using Stream entry = zip.CreateEntry(name).Open();
                entry.Write(content);
            }
        return to.ToArray();
    }

    [Fact]
    public void What_comes_out_of_a_zip_is_what_went_in_and_gives_the_same_zip()
    {
        byte[] file = Written(Vehicle());
        Assert.True(VehicleArchive.IsOne(file));
        Assert.True(Read(file).IsOk(out VehicleRecord? read, out _));
        Assert.Equal([First, Second, First], VehicleArchive.PhotosOf(read).Select(p => p.Content));
        Assert.Equal(file, Written(read with { Panels = [.. read.Panels.Select(Emptied)] }));
    }

    private static PanelRecord Emptied(PanelRecord panel) =>
        panel with
        {
            Findings = [.. panel.Findings.Select(f => f with { Photos = [.. f.Photos.Select(p => p with { Content = null })] })],
        };

    /// <summary>Read by the letter of APPNOTE 6.3, without the library that wrote it: local heads (4.3.7), CRC-32 of 0xEDB88320 (4.4.7).</summary>
    [Fact]
    public void Every_photo_stands_in_the_zip_once_under_its_hash_as_it_is()
    {
        byte[] file = Written(Vehicle());
        foreach ((byte[] photo, string ending) in new[] { (First, "jpeg"), (Second, "png") })
        {
            byte[] name = Encoding.ASCII.GetBytes($"photos/{HashOf(photo)}.{ending}");
            int at = file.AsSpan().IndexOf(name);
            int head = at - 30;
            Assert.Equal(0x04034b50u, BinaryPrimitives.ReadUInt32LittleEndian(file.AsSpan(head)));
            int start = at + name.Length + BinaryPrimitives.ReadUInt16LittleEndian(file.AsSpan(head + 28));
            Assert.Equal(photo, file[start..(start + photo.Length)]);
            // The central directory tells the sum, once: behind all the photos.
            int central = file.AsSpan(start + photo.Length).IndexOf(name) + start + photo.Length - 46;
            Assert.Equal(0x02014b50u, BinaryPrimitives.ReadUInt32LittleEndian(file.AsSpan(central)));
            Assert.Equal(Crc32(photo), BinaryPrimitives.ReadUInt32LittleEndian(file.AsSpan(central + 16)));
            Assert.Equal(-1, file.AsSpan(central + 46 + name.Length).IndexOf(name));
        }
    }

    private static uint Crc32(byte[] content)
    {
        uint sum = ~0u;
        foreach (byte one in content)
        {
            sum ^= one;
            for (int bit = 0; bit < 8; bit++)
                sum = (sum & 1) == 1 ? (sum >> 1) ^ 0xEDB88320 : sum >> 1;
        }
        return ~sum;
    }

    [Fact]
    public void A_photo_that_is_not_there_leaves_the_vehicle_whole()
    {
        VehicleRecord vehicle = Vehicle();
        using var to = new MemoryStream();
        VehicleArchive.Write(vehicle, hash => hash == HashOf(First) ? First : null, to);
        Assert.True(Read(to.ToArray()).IsOk(out VehicleRecord? read, out _));
        Assert.Equal([First, null, First], VehicleArchive.PhotosOf(read).Select(p => p.Content));
    }

    [Fact]
    public void A_zip_that_is_none_of_ours_or_came_broken_is_told_apart()
    {
        Assert.Equal("archive-unreadable", CodeOf(Written(Vehicle())[..^60]));
        Assert.Equal("archive-unreadable", CodeOf([.. "PK\u0003\u0004"u8]));
        Assert.Equal("archive-record", CodeOf(Zip(("holiday.txt", First))));
        Assert.Equal("archive-record", CodeOf(Zip((VehicleArchive.RecordEntry, First), (VehicleArchive.RecordEntry, First))));
        Assert.Equal("bundle-unreadable", CodeOf(Zip((VehicleArchive.RecordEntry, First))));
    }

    [Fact]
    public void What_swells_when_it_is_unpacked_is_refused_before_it_fills_the_memory()
    {
        Assert.Equal("photo-type", CodeOf(Written(Vehicle()), most: Second.Length - 1));
        Assert.Equal("", CodeOf(Written(Vehicle()), most: Second.Length));
        Assert.Equal("archive-too-large", CodeOf(Zip((VehicleArchive.RecordEntry, new byte[VehicleArchive.MostRecordBytes + 1]))));
    }
}
