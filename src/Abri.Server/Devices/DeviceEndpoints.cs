using System.Collections.Concurrent;
using Abri.Server.Api;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Devices;

/// <summary>The simulated devices, each asked for one reading at a time.</summary>
internal static class DeviceEndpoints
{
    private const int UsualSeed = 1;

    public static void MapDevices(this WebApplication app)
    {
        RouteGroupBuilder devices = app.MapGroup("/api/devices/{device}").WithTags("devices");
        devices
            .MapPost("/reading", Results<Ok<DeviceReading>, ProblemHttpResult> (Named<DeviceKind> device, DeviceShelf shelf) =>
                shelf.Of(device.Value).Next() is { } reading
                    ? TypedResults.Ok(reading)
                    : Problems.Answer(
                        503,
                        "device-silent",
                        "The meter (simulated) did not answer. Nothing was changed; press again, or type the reading."
                    )
            )
            .WithName("device-reading");
        devices
            .MapPost("/seed", NoContent (Named<DeviceKind> device, int seed, DeviceShelf shelf) =>
            {
                shelf.Seed(device.Value, seed);
                return TypedResults.NoContent();
            })
            .WithName("device-seed");
    }

    /// <summary>The devices as they lie on the shelf; taken up again, each goes on where it was.</summary>
    internal sealed class DeviceShelf
    {
        private readonly ConcurrentDictionary<DeviceKind, SimulatedDevice> devices = new();

        public SimulatedDevice Of(DeviceKind kind) => devices.GetOrAdd(kind, k => new SimulatedDevice(k, UsualSeed));

        public void Seed(DeviceKind kind, int seed) => devices[kind] = new SimulatedDevice(kind, seed);
    }
}
