using System.Text;
using Abri.Core;
using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Shell.Presets;
using Abri.Exchange;
using Abri.Server.Api;
using Abri.Storage;
using Abri.Storage.Record;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Shell;

/// <summary>A vehicle to begin with, from a preset or a blank box.</summary>
/// <param name="Vehicle">The vehicle; its kind is that of the preset where there is one.</param>
/// <param name="Preset">Key of the preset; null for a blank box.</param>
/// <param name="Box">Size of the blank box; null with a preset.</param>
/// <param name="Material">What the skin of a blank box is made of.</param>
public sealed record NewVehicle(Vehicle Vehicle, string? Preset, BoxSize? Box, SkinMaterial Material);

/// <summary>Where a vehicle was added.</summary>
/// <param name="Id">Its id.</param>
public sealed record AddedVehicle(string Id);

/// <summary>Vehicles from presets, boxes and files, and as files; what belongs to a kind; drawings and sections read without saving.</summary>
internal static class RecordFileEndpoints
{
    /// <summary>Largest zip of a vehicle, bytes; photos take most of it.</summary>
    private const int MostArchiveBytes = 190 * 1024 * 1024;

    /// <summary>Largest drawing or table, bytes.</summary>
    private const int MostDrawingBytes = 5 * 1024 * 1024;

    public static void MapRecordFiles(this WebApplication app)
    {
        app.MapGet("/api/presets", () => ShellPresets.All).WithTags("shell").WithName("preset-list");
        // What belongs to a kind, the same for every vehicle.
        app.MapGet("/api/finding-natures", () => FindingNature.All).WithTags("shell").WithName("finding-natures");
        app.MapGet("/api/member-roles", () => Member.DefaultRoles).WithTags("shell").WithName("member-roles");
        app.MapGet("/api/vehicle-file.schema.json", () => TypedResults.Text(VehicleBundle.Schema, "application/schema+json"))
            .WithTags("shell")
            .WithName("vehicle-file-schema");
        app.MapPost("/api/vehicles/new", Begin).Validate<NewVehicle>().WithTags("shell").WithName("vehicle-new");
        app.MapPost("/api/vehicles/import", Import)
            .Accepts<byte[]>("application/json", "application/zip")
            .WithMetadata(RequestFile.MostSent)
            .WithTags("shell")
            .WithName("vehicle-import");
        RouteGroupBuilder vehicle = app.MapVehicle("shell");
        vehicle.MapGet("/vehicle.json", Export).WithName("vehicle-export");
        vehicle.MapGet("/vehicle.zip", ExportArchive).WithName("vehicle-export-zip");
        app.MapPost("/api/drawings/read", ReadDrawing)
            .Accepts<byte[]>("application/dxf", "image/svg+xml")
            .WithMetadata(RequestFile.MostSent)
            .WithTags("shell")
            .WithName("drawing-read");
        app.MapPost("/api/sections/read", ReadSections)
            .Accepts<byte[]>("text/csv")
            .WithMetadata(RequestFile.MostSent)
            .WithTags("shell")
            .WithName("sections-read");
    }

    private static Results<Ok<AddedVehicle>, ProblemHttpResult> Begin(NewVehicle value, RecordStore records)
    {
        if ((value.Preset is null) == (value.Box is null))
            return Problems.BadRequest("preset-or-box", "Give either a preset or the size of a blank box.", "/preset");
        IReadOnlyList<DesignedPanel> panels;
        Vehicle vehicle = value.Vehicle;
        if (value.Preset is { } key)
        {
            if (ShellPresets.All.SingleOrDefault(p => p.Key == key) is not { } preset)
                return Problems.BadRequest("preset-unknown", $"There is no preset \"{key}\".", "/preset");
            (panels, vehicle) = (preset.Panels, vehicle with { Kind = preset.Kind });
        }
        else
        {
            panels = BlankBox.Of(value.Box!, value.Material, value.Vehicle.Kind);
        }
        return TypedResults.Ok(
            new AddedVehicle(records.Add(new VehicleRecord(vehicle, [], [], [.. panels.Select(p => PanelRecord.Of(p.Panel, p.Members))])))
        );
    }

    private static async Task<Results<Ok<AddedVehicle>, ProblemHttpResult>> Import(HttpRequest request, RecordStore records, DataFolder folder)
    {
        using FileStream file = Scratch();
        await RequestFile.CopyTo(file, request, MostArchiveBytes);
        if (!ReadVehicle(file).IsOk(out VehicleRecord? record, out Problem? problem))
            return Problems.Of(problem);
        if (DeclaredRanges.Of(record) is { } range)
            return Problems.Bad(range.Under("/record"));
        if (RecordCheck.Of(record) is { } contradiction)
            return Problems.Of(contradiction.Under("/record"));
        PhotoRecord[] photos = [.. VehicleArchive.PhotosOf(record).Where(p => p.Content is not null)];
        // All of them are looked at before the first one is kept: a file that is refused leaves nothing behind.
        foreach (PhotoRecord photo in photos)
        {
            if (!PhotoFile.TypeOf(photo.Content!).IsOk(out string? type, out problem))
                return Problems.Answer(422, problem.Code, problem.Message);
            if (type != photo.Type || photo.Content!.Length > PhotoFolder.MostBytes)
                return Problems.Answer(
                    422,
                    "photo-type",
                    $"A photo in the file is not the {photo.Type} that it says, or is larger than {PhotoFolder.MostBytes / 1024 / 1024} MB."
                );
            if (PhotoFolder.HashOf(photo.Content) != photo.Sha256)
                return Problems.Answer(422, "photo-hash", "A photo in the file does not have the hash that it says: the file was damaged.");
        }
        foreach (PhotoRecord photo in photos)
            folder.Photos.Keep(photo.Content!);
        return TypedResults.Ok(new AddedVehicle(records.Add(record)));
    }

    /// <summary>A vehicle file or the zip of one, whatever it is called.</summary>
    private static Result<VehicleRecord> ReadVehicle(FileStream file)
    {
        file.Position = 0;
        byte[] start = new byte[4];
        int read = file.ReadAtLeast(start, start.Length, throwOnEndOfStream: false);
        file.Position = 0;
        if (VehicleArchive.IsOne(start.AsSpan(0, read)))
            return VehicleArchive.Read(file, PhotoFolder.MostBytes);
        if (file.Length > VehicleArchive.MostRecordBytes)
            throw RequestFile.TooLarge(VehicleArchive.MostRecordBytes);
        byte[] content = new byte[file.Length];
        file.ReadExactly(content);
        return VehicleBundle.Read(content);
    }

    private static Results<FileContentHttpResult, ProblemHttpResult> Export(OfVehicle of, DataFolder folder, bool? photos)
    {
        VehicleRecord record = VehicleFile.Of(of.Snapshot, photos == false ? _ => null : folder.Photos.Find);
        byte[] file = VehicleBundle.Write(record);
        return file.Length > VehicleArchive.MostRecordBytes
            ? Problems.Answer(
                413,
                "bundle-too-large",
                $"With its photos the file would be larger than the {VehicleArchive.MostRecordBytes / 1024 / 1024} MB that can be read back. "
                    + "Save it as a zip, or without photos."
            )
            : TypedResults.File(file, "application/json", FileNames.Plain(record.Vehicle.Name, "vehicle") + ".abri.json");
    }

    private static Results<FileStreamHttpResult, ProblemHttpResult> ExportArchive(OfVehicle of, DataFolder folder)
    {
        VehicleRecord record = VehicleFile.Of(of.Snapshot, _ => null);
        FileStream file = Scratch();
        try
        {
            VehicleArchive.Write(record, folder.Photos.Find, file);
        }
        catch
        {
            file.Dispose();
            throw;
        }
        if (file.Length > MostArchiveBytes)
        {
            file.Dispose();
            return Problems.Answer(
                413,
                "bundle-too-large",
                $"With its photos the zip would be larger than the {MostArchiveBytes / 1024 / 1024} MB that can be read back. "
                    + "Take photos away that are not needed any more."
            );
        }
        file.Position = 0;
        return TypedResults.File(file, "application/zip", FileNames.Plain(record.Vehicle.Name, "vehicle") + ".abri.zip");
    }

    /// <summary>A file that goes when it is closed: a vehicle with photos is too large to be held in memory twice.</summary>
    private static FileStream Scratch() =>
        new(
            Path.Combine(Path.GetTempPath(), "abri-" + Guid.NewGuid().ToString("N")),
            FileMode.CreateNew,
            FileAccess.ReadWrite,
            FileShare.None,
            81_920,
            FileOptions.DeleteOnClose
        );

    private static async Task<Results<Ok<PanelDrawing>, ProblemHttpResult>> ReadDrawing(HttpRequest request, Named<UnitSystem>? unit)
    {
        string text = await Text(request);
        Result<DrawnShapes> read = text.AsSpan().TrimStart().StartsWith("<") ? SvgShapes.Read(text) : DxfShapes.Read(text, unit?.Value);
        if (!read.IsOk(out DrawnShapes? shapes, out Problem? problem))
            return Problems.Of(problem);
        return ReadShapes.AsPanel(shapes).IsOk(out PanelDrawing? drawing, out problem) ? TypedResults.Ok(drawing) : Problems.Of(problem);
    }

    private static async Task<Results<Ok<IReadOnlyList<SurfaceSection>>, ProblemHttpResult>> ReadSections(HttpRequest request) =>
        SectionsCsv.Read(await Text(request)).IsOk(out IReadOnlyList<SurfaceSection>? sections, out Problem? problem)
            ? TypedResults.Ok(sections)
            : Problems.Of(problem);

    /// <summary>The text of a file: UTF-8, or what its mark says, as spreadsheets write UTF-16.</summary>
    private static async Task<string> Text(HttpRequest request)
    {
        using var reader = new StreamReader(
            new MemoryStream(await RequestFile.Read(request, MostDrawingBytes)),
            Encoding.UTF8,
            detectEncodingFromByteOrderMarks: true
        );
        return await reader.ReadToEndAsync();
    }
}
