using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Exchange;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage;
using Abri.Storage.Openings;
using Abri.Storage.Sealing;
using Abri.Storage.Shell;

namespace Abri.Server.Openings;

/// <summary>How a stored opening stands.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Standing">How it stands, and what comes next.</param>
/// <param name="Product">What seals it; null until it is chosen.</param>
public sealed record ListedOpening(string Id, OpeningStanding Standing, string? Product);

/// <summary>Looks over all openings of a vehicle.</summary>
internal sealed class OpeningOverview(Database database, PanelStore panels, OpeningStore openings, JointStore joints, StoredSites sites)
{
    private readonly Kept<IReadOnlyList<(string Id, OpeningLine Line)>> kept = new(database);

    /// <summary>The openings of a vehicle, panel by panel.</summary>
    public async Task<IReadOnlyList<ListedOpening>> Of(string vehicleId) => [.. (await All(vehicleId)).Select(o => new ListedOpening(o.Id, o.Line.Standing, o.Line.Product))];

    /// <summary>The same as a table.</summary>
    public async Task<string> Csv(string vehicleId) => OpeningsCsv.Write((await All(vehicleId)).Select(o => o.Line));

    private Task<IReadOnlyList<(string Id, OpeningLine Line)>> All(string vehicleId) => kept.Of(vehicleId, () => [.. panels.All(vehicleId).SelectMany(OnPanel)]);

    private IEnumerable<(string Id, OpeningLine Line)> OnPanel(Stored<Panel> panel)
    {
        IReadOnlyList<Stored<Joint>> sealing = joints.All(panel.Id);
        Func<Stored<Opening>, Site> siteOf = sites.OnPanel(panel.Id);
        foreach (Stored<Opening> row in openings.All(panel.Id))
        {
            Site site = siteOf(row);
            Joint? joint = sealing.FirstOrDefault(j => j.Value.Of == row.Value.Name)?.Value;
            yield return (row.Id, new OpeningLine(WholeShell.Words(panel.Value), row.Value, site.Fitting, OpeningProgress.Of(row.Value, site, joint), joint?.Product));
        }
    }
}
