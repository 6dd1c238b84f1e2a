using Abri.Core.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Shell;

/// <summary>Keeps the photos of findings.</summary>
public sealed class PhotoStore(Database database, FindingStore findings, PanelStore panels) : Store<Photo>(database, "photo", "finding_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Photo value) =>
        new Dictionary<string, object?>
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
