using Abri.Core;
using Abri.Core.Declared;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Server.Api;
using Abri.Storage;
using Abri.Storage.Shell;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Shell;

/// <summary>Vehicles, their panels, members and zones.</summary>
internal static class ShellEndpoints
{
    public static void MapShell(this WebApplication app)
    {
        RouteGroupBuilder vehicles = app.MapGroup("/api/vehicles").WithTags("shell");
        vehicles.MapGet("/", (VehicleStore store) => store.All()).WithName("vehicle-list");
        vehicles
            .MapPost("/", (Vehicle value, HttpContext context, VehicleStore store) => RecordEndpoints.Answer(context, store.Add(null, value)))
            .Validate<Vehicle>()
            .WithName("vehicle-add");
        vehicles.MapGroup("/{id}").MapRecord<Vehicle, VehicleStore>("vehicle", (_, store, id) => store.Find(id), (_, _, _) => null);

        RouteGroupBuilder vehicle = app.MapVehicle("shell");
        vehicle.MapGet("/shell", (OfVehicle of, TimeProvider clock) => WholeShell.Of(of.Snapshot, clock.GetUtcNow())).WithName("shell-get");

        vehicle
            .MapPost(
                "/panels",
                Results<Ok<Stored<Panel>>, ProblemHttpResult> (string vehicleId, Panel value, HttpContext context, PanelStore store) =>
                    ShellCheck.OfPanel(value) is { } problem ? Problems.Of(problem) : RecordEndpoints.Answer(context, store.Add(vehicleId, value))
            )
            .Validate<Panel>()
            .WithName("panel-add");
        vehicle.MapGroup("/panels/{id}").MapRecord<Panel, PanelStore>("panel", (context, store, id) => Owned(context, store.Find(id)), MembersStay);

        vehicle.MapPost("/panels/{panelId}/members", AddMembers).Validate<MembersToAdd>().WithName("members-add");
        vehicle
            .MapGroup("/members/{id}")
            .MapRecord<Member, MemberStore>(
                "member",
                (context, store, id) => OnOwnPanel(context, store.Find(id)),
                (context, row, value) => ShellCheck.OfMember(PanelOf(context, row.OwnerId!), value)
            );

        vehicle
            .MapPost("/zones", (string vehicleId, Zone value, HttpContext context, ZoneStore store) =>
                RecordEndpoints.Answer(context, store.Add(vehicleId, value))
            )
            .Validate<Zone>()
            .WithName("zone-add");
        vehicle.MapGroup("/zones/{id}").MapRecord<Zone, ZoneStore>("zone", (context, store, id) => Owned(context, store.Find(id)), (_, _, _) => null);
        vehicle.MapFindings();
    }

    /// <summary>The row, if its panel belongs to the vehicle in the address.</summary>
    internal static Stored<T>? OnOwnPanel<T>(HttpContext context, Stored<T>? row)
        where T : notnull =>
        row is not null && Owned(context, context.RequestServices.GetRequiredService<PanelStore>().Find(row.OwnerId!)) is not null ? row : null;

    internal static Panel PanelOf(HttpContext context, string panelId) =>
        context.RequestServices.GetRequiredService<PanelStore>().Find(panelId)!.Value;

    internal static Stored<T>? Owned<T>(HttpContext context, Stored<T>? row)
        where T : notnull => row?.OwnerId == (string?)context.GetRouteValue("vehicleId") ? row : null;

    private static Results<Ok<IReadOnlyList<Stored<Member>>>, ProblemHttpResult> AddMembers(
        string vehicleId,
        string panelId,
        MembersToAdd body,
        HttpContext context,
        PanelStore panels,
        MemberStore members
    )
    {
        if (Owned(context, panels.Find(panelId)) is not { } panel)
            return Problems.NoPanel();
        if (members.All(panelId).Count + body.Members.Count > Limits.MostMembers)
            return Problems.BadRequest("too-many-members", $"A panel has at most {Limits.MostMembers} members.", "/members");
        if (
            (ShellCheck.Of(panel.Value, body.Members) ?? ShellCheck.OfAll([.. members.All(panelId).Select(m => m.Value), .. body.Members])) is
            { } problem
        )
            return Problems.Of(problem);
        string what = body.Members.Count == 1 ? $"Added {body.Members[0].Name}" : $"Added {body.Members.Count} members";
        (WriteState state, IReadOnlyList<Stored<Member>> rows, string? message) = members.Add(panelId, body.Members, what);
        return state == WriteState.Done ? TypedResults.Ok(rows) : Problems.Answer(409, "conflict", message!);
    }

    /// <summary>A new outline must still carry every member.</summary>
    private static Problem? MembersStay(HttpContext context, Stored<Panel> row, Panel value)
    {
        if (ShellCheck.OfPanel(value) is { } problem)
            return problem;
        foreach (Stored<Member> member in context.RequestServices.GetRequiredService<MemberStore>().All(row.Id))
        {
            if (ShellCheck.OfMember(value, member.Value) is { } off)
                return new Problem(off.Code, "/outline", $"With this outline a member no longer fits. {off.Message}");
        }
        return null;
    }
}
