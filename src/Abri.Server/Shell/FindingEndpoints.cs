using System.Text;
using Abri.Core;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Exchange;
using Abri.Server.Api;
using Abri.Storage;
using Abri.Storage.Shell;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Shell;

/// <summary>Findings and their photos.</summary>
internal static class FindingEndpoints
{
    private const int MostPhotos = 12;

    public static void MapFindings(this RouteGroupBuilder vehicle)
    {
        vehicle.MapPost("/panels/{panelId}/findings", Add).Validate<Finding>().WithName("finding-add");
        vehicle
            .MapGroup("/findings/{id}")
            .MapRecord<Finding, FindingStore>(
                "finding",
                (context, store, id) => ShellEndpoints.OnOwnPanel(context, store.Find(id)),
                (context, row, value) => FindingCheck.Of(ShellEndpoints.PanelOf(context, row.OwnerId!), value)
            );
        vehicle
            .MapGet("/findings.csv", (OfVehicle of) => TypedResults.File(Encoding.UTF8.GetBytes(Csv(of.Snapshot)), "text/csv", "findings.csv"))
            .WithName("finding-csv");
        vehicle
            .MapPost("/findings/{id}/photos", AddPhoto)
            .Accepts<byte[]>("image/jpeg", "image/png", "image/webp")
            .WithMetadata(RequestFile.MostSent)
            .WithName("photo-add");
        vehicle.MapDelete("/photos/{id}", RemovePhoto).WithName("photo-delete");
        vehicle.MapGet("/photos/{id}", Photo).WithName("photo-get");
    }

    private static string Csv(VehicleSnapshot of) => FindingsCsv.Write(of.Findings.Select(f => (PanelWords.Title(of.PanelOf(f).Value), f.Value)));

    private static Results<Ok<Stored<Finding>>, ProblemHttpResult> Add(
        string vehicleId,
        string panelId,
        Finding value,
        HttpContext context,
        PanelStore panels,
        FindingStore store
    )
    {
        if (panels.Find(panelId) is not { } panel || panel.OwnerId != vehicleId)
            return Problems.NoPanel();
        return FindingCheck.Of(panel.Value, value) is { } problem ? Problems.Of(problem) : RecordEndpoints.Answer(context, store.Add(panelId, value));
    }

    private static async Task<Results<Ok<Stored<Photo>>, ProblemHttpResult>> AddPhoto(
        string id,
        HttpContext context,
        FindingStore findings,
        PhotoStore photos,
        DataFolder folder
    )
    {
        if (ShellEndpoints.OnOwnPanel(context, findings.Find(id)) is null)
            return Problems.NotFound("This finding has been removed.");
        if (photos.All(id).Count >= MostPhotos)
            return Problems.Answer(422, "photos-too-many", $"A finding has at most {MostPhotos} photos. Remove one first.");
        byte[] content = await RequestFile.Read(context.Request, PhotoFolder.MostBytes);
        if (!PhotoFile.TypeOf(content).IsOk(out string? type, out Problem? problem))
            return Problems.Answer(problem.Code == "photo-type" ? 415 : 422, problem.Code, problem.Message);
        return RecordEndpoints.Answer(context, photos.Add(id, new Photo(folder.Photos.Keep(content), type, content.Length, "")));
    }

    private static Results<NoContent, ProblemHttpResult> RemovePhoto(string id, HttpContext context, FindingStore findings, PhotoStore photos)
    {
        if (Own(context, findings, photos.Find(id)) is not { } photo)
            return Problems.NotFound("This photo has been removed.");
        Written<Photo> written = photos.Remove(id, photo.Version);
        return written.State == WriteState.Done ? TypedResults.NoContent() : Problems.Of(written);
    }

    private static Results<FileContentHttpResult, ProblemHttpResult> Photo(
        string id,
        HttpContext context,
        FindingStore findings,
        PhotoStore photos,
        DataFolder folder
    )
    {
        if (Own(context, findings, photos.Find(id)) is not { } photo)
            return Problems.NotFound("This photo has been removed.");
        if (folder.Photos.Find(photo.Value.Sha256) is not { } content)
            return Problems.NotFound("The file of this photo is not in the data folder. It came in a vehicle file without photos, or was taken out.");
        context.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return TypedResults.File(content, photo.Value.Type);
    }

    private static Stored<Photo>? Own(HttpContext context, FindingStore findings, Stored<Photo>? photo) =>
        photo is not null && ShellEndpoints.OnOwnPanel(context, findings.Find(photo.OwnerId!)) is not null ? photo : null;
}
