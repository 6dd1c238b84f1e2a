using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Sealing;
using Abri.Exchange;
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
internal sealed class OpeningOverview(PanelStore panels, OpeningStore openings, FittingStore fittings, JointStore joints, StoredSites sites)
{
    /// <summary>The openings of a vehicle, panel by panel.</summary>
    public IReadOnlyList<ListedOpening> Of(string vehicleId) => [.. All(vehicleId).ToArray().AsParallel().AsOrdered().Select(o => new ListedOpening(o.Row.Id, OpeningProgress.Of(o.Row.Value, o.Site, o.Joint), o.Joint?.Product))];

    /// <summary>The same as a table.</summary>
    public string Csv(string vehicleId)
    {
        Dictionary<string, Fitting> byId = fittings.All().ToDictionary(f => f.Id, f => f.Value);
        return OpeningsCsv.Write(All(vehicleId).Select(o => new OpeningLine(
            WholeShell.Words(panels.Find(o.Row.OwnerId!)!.Value), o.Row.Value, byId[o.Row.Value.FittingId], OpeningProgress.Of(o.Row.Value, o.Site, o.Joint), o.Joint?.Product)));
    }

    private IEnumerable<(Stored<Opening> Row, Site Site, Joint? Joint)> All(string vehicleId)
    {
        foreach (var panel in panels.All(vehicleId))
        {
            IReadOnlyList<Stored<Joint>> kept = joints.All(panel.Id);
            Func<Stored<Opening>, Site> site = sites.OnPanel(panel.Id);
            foreach (Stored<Opening> row in openings.All(panel.Id)) yield return (row, site(row), kept.FirstOrDefault(j => j.Value.Of == row.Value.Name)?.Value);
        }
    }
}
