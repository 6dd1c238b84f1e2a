using Microsoft.Data.Sqlite;

namespace Abri.Storage.Shell;

/// <summary>A photo of a finding; its bytes lie in the photo folder.</summary>
/// <param name="Sha256">Hash of its bytes, in lower-case hexadecimal.</param>
/// <param name="Type">Media type, as its content says.</param>
/// <param name="Bytes">How many bytes.</param>
/// <param name="Caption">What it shows; may be empty.</param>
public sealed record Photo(string Sha256, string Type, long Bytes, string Caption);

/// <summary>Keeps the photos of findings.</summary>
public sealed class PhotoStore(Database database, FindingStore findings, PanelStore panels) : Store<Photo>(database, "photo", "finding_id")
{
    /// <summary>The photos of all findings of a vehicle, oldest first.</summary>
    public IReadOnlyList<Stored<Photo>> OfVehicle(string vehicleId) => AllWhere(
        "finding_id IN (SELECT finding.id FROM finding JOIN panel ON panel.id = finding.panel_id WHERE panel.vehicle_id = $vehicle)", ("vehicle", vehicleId));

    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Photo value) => new Dictionary<string, object?>
    {
        ["sha256"] = value.Sha256,
        ["type"] = value.Type,
        ["bytes"] = value.Bytes,
        ["caption"] = value.Caption,
    };

    /// <inheritdoc/>
    protected override Photo Read(SqliteDataReader row) => new(row.Text("sha256"), row.Text("type"), row.Int("bytes"), row.Text("caption"));

    /// <inheritdoc/>
    protected override string Title(Photo value) => "a photo";

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(findings.Find(ownerId!)!.OwnerId!)!.OwnerId!;
}
