using System.Buffers.Binary;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;

namespace Abri.Server.Tests;

/// <summary>What is wrong with a request is told in words that a person can act on, with the right status.</summary>
public sealed class TroubleTests : IAsyncLifetime
{
    private RunningApp app = null!;
    private string vehicle = "";

    public async Task InitializeAsync()
    {
        app = await RunningApp.Start();
        vehicle = (string)(await app.Get("/api/vehicles"))[0]!["id"]!;
    }

    public async Task DisposeAsync() => await app.DisposeAsync();

    [Fact]
    public async Task A_charset_that_is_not_known_is_no_failure()
    {
        using var body = new ByteArrayContent("{}"u8.ToArray());
        body.Headers.TryAddWithoutValidation("Content-Type", "application/json; charset=klingon");
        using HttpResponseMessage answer = await app.Http.PostAsync("/api/calculators/bays", body);
        Assert.Equal((415, "charset-unknown"), ((int)answer.StatusCode, (string)JsonNode.Parse(await answer.Content.ReadAsStringAsync())!["code"]!));
    }

    [Fact]
    public async Task Undo_on_a_vehicle_that_is_not_there_is_not_found()
    {
        Assert.Equal(404, (await app.Send(HttpMethod.Post, "/api/vehicles/nobody/undo", null)).Status);
        Assert.Equal(404, (await app.Send(HttpMethod.Get, "/api/vehicles/nobody/changes", null)).Status);
    }

    [Theory]
    [InlineData("""{"panel":7}""")]
    [InlineData("""{"panel":null,"members":[]}""")]
    [InlineData("""{"panel":{"kind":"gremlin"}}""")]
    [InlineData("""{"panel":{"kind":3}}""")]
    [InlineData("""{"panel":{"kind":"roof","outline":{},"skinMm":0.8,"material":"mildSteel"},"members":[]}""")]
    [InlineData("""{"panel":{"kind":"roof","outline":[],"skinMm":"0.8","material":"mildSteel"},"members":[]}""")]
    [InlineData("""{"panel":{"kind":"roof","outline":null,"skinMm":0.8,"material":"mildSteel"},"members":[]}""")]
    [InlineData("""{"panel":{"kind":"roof","kind":"roof"}}""")]
    [InlineData("""[]""")]
    [InlineData("""7""")]
    [InlineData("""null""")]
    public async Task No_message_names_the_program_s_own_parts(string body)
    {
        (int status, JsonNode? answer) = await app.SendText(HttpMethod.Post, "/api/calculators/bays", body);
        Assert.Equal(400, status);
        Assert.DoesNotMatch(@"Abri\.|System\.|Input|Nullable|\.NET|type '", (string)answer!["detail"]!);
    }

    [Theory]
    [InlineData("sheet.pdf?paper=a9", "paper in the address takes one of a4, a3, letter, not \"a9\".")]
    [InlineData("sheet.svg?view=above", "view in the address takes one of outside, inside, not \"above\".")]
    public async Task A_wrong_word_in_an_address_is_answered_with_those_that_it_takes(string rest, string says)
    {
        JsonNode shell = await app.Get($"/api/vehicles/{vehicle}/shell");
        (int status, JsonNode? answer) = await app.Send(
            HttpMethod.Get,
            $"/api/vehicles/{vehicle}/openings/{shell["openings"]![0]!["id"]}/{rest}",
            null
        );
        Assert.Equal((400, says), (status, (string)answer!["detail"]!));
        Assert.Equal(
            "volumeM3 is missing: it takes a number, with a point.",
            (string)(await app.Send(HttpMethod.Get, $"/api/vehicles/{vehicle}/air?floorAreaM2=4", null)).Body!["detail"]!
        );
        Assert.Equal(
            "gapMm in the address takes a number, with a point, not \"wide\".",
            (string)(await app.Send(HttpMethod.Get, $"/api/vehicles/{vehicle}/sheets?gapMm=wide", null)).Body!["detail"]!
        );
    }

    [Fact]
    public async Task Records_are_asked_for_again_built_files_never_and_HEAD_is_answered()
    {
        using HttpResponseMessage shell = await app.Http.GetAsync($"/api/vehicles/{vehicle}/shell");
        Assert.True(shell.Headers.CacheControl!.NoCache);
        using var head = new HttpRequestMessage(HttpMethod.Head, $"/api/vehicles/{vehicle}/shell");
        using HttpResponseMessage answer = await app.Http.SendAsync(head);
        Assert.Equal((200, ""), ((int)answer.StatusCode, await answer.Content.ReadAsStringAsync()));
        Assert.Equal(shell.Content.Headers.ContentType, answer.Content.Headers.ContentType);
        using var none = new HttpRequestMessage(HttpMethod.Head, "/api/vehicles/nobody/shell");
        Assert.Equal(404, (int)(await app.Http.SendAsync(none)).StatusCode);
        // What goes wrong carries the guards too.
        Assert.True((await app.Http.GetAsync("/api/vehicles/nobody/shell")).Headers.Contains("Content-Security-Policy"));
    }

    [Fact]
    public async Task A_picture_that_cannot_be_shown_is_not_kept()
    {
        string finding = (string)(await app.Get($"/api/vehicles/{vehicle}/shell"))["findings"]![0]!["id"]!;
        async Task<(int, string)> Sent(byte[] content)
        {
            using var body = new ByteArrayContent(content) { Headers = { ContentType = new MediaTypeHeaderValue("image/jpeg") } };
            using HttpResponseMessage answer = await app.Http.PostAsync($"/api/vehicles/{vehicle}/findings/{finding}/photos", body);
            return ((int)answer.StatusCode, (string?)JsonNode.Parse(await answer.Content.ReadAsStringAsync())!["code"] ?? "");
        }
        Assert.Equal((415, "photo-type"), await Sent([0xFF, 0xD8, 0xFF]));
        Assert.Equal((415, "photo-type"), await Sent(Encoding.ASCII.GetBytes("GIF89a" + new string('x', 200))));
        Assert.Equal((422, "photo-too-large"), await Sent(Png(30_000, 30_000)));
        Assert.Equal((200, ""), await Sent(Png(3000, 2000)));
    }

    [Fact] // UTF-16 with its mark and tabs, as spreadsheets save "Unicode text"
    public async Task A_table_in_the_letters_of_a_spreadsheet_comes_in()
    {
        using var table = new ByteArrayContent([
            .. Encoding.Unicode.GetPreamble(),
            .. Encoding.Unicode.GetBytes("Station\tquer\tTiefe\r\n900\t-600\t12,5\r\n900\t0\t0\r\n"),
        ]);
        table.Headers.ContentType = new MediaTypeHeaderValue("text/csv");
        using HttpResponseMessage answer = await app.Http.PostAsync("/api/sections/read", table);
        JsonNode read = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        Assert.Equal(12.5, (double)read[0]!["readings"]![0]!["depthMm"]!);
    }

    /// <summary>A PNG of one grey (ISO 15948): head, compressed rows, end.</summary>
    private static byte[] Png(int width, int height)
    {
        using var rows = new MemoryStream();
        using (var zip = new System.IO.Compression.ZLibStream(rows, System.IO.Compression.CompressionLevel.Fastest, leaveOpen: true))
        {
            byte[] row = new byte[1 + ((width + 7) / 8)];
            for (int y = 0; y < height; y++)
                zip.Write(row);
        }
        byte[] head = new byte[13];
        BinaryPrimitives.WriteInt32BigEndian(head, width);
        BinaryPrimitives.WriteInt32BigEndian(head.AsSpan(4), height);
        head[8] = 1;
        return [0x89, .. "PNG\r\n\u001a\n"u8, .. Chunk("IHDR", head), .. Chunk("IDAT", rows.ToArray()), .. Chunk("IEND", [])];
    }

    private static byte[] Chunk(string name, byte[] content)
    {
        byte[] named = [.. Encoding.ASCII.GetBytes(name), .. content],
            length = new byte[4],
            sum = new byte[4];
        BinaryPrimitives.WriteInt32BigEndian(length, content.Length);
        BinaryPrimitives.WriteUInt32BigEndian(sum, Crc(named));
        return [.. length, .. named, .. sum];
    }

    private static uint Crc(byte[] content)
    {
        uint crc = uint.MaxValue;
        foreach (byte b in content)
        {
            crc ^= b;
            for (int bit = 0; bit < 8; bit++)
                crc = (crc & 1) == 1 ? (crc >> 1) ^ 0xEDB88320 : crc >> 1;
        }
        return ~crc;
    }
}
