using System.Reflection;
using Abri.Storage;

namespace Abri.Server.Api;

/// <summary>Whether the program is ready.</summary>
/// <param name="Ready">Whether the database answers.</param>
/// <param name="Version">Version of the program.</param>
/// <param name="Schema">Version of the tables.</param>
public sealed record Health(bool Ready, string Version, int Schema);

internal static class HealthEndpoints
{
    private static readonly string Version = typeof(Health)
        .Assembly.GetCustomAttribute<AssemblyInformationalVersionAttribute>()!
        .InformationalVersion.Split('+')[0];

    public static void MapHealth(this WebApplication app) =>
        app.MapGet("/health", (Database database) => new Health(database.IsReady(), Version, database.SchemaVersion)).WithTags("health");
}
