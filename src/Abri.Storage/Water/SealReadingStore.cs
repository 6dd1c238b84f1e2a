using Abri.Core.Geometry;
using Abri.Core.Water;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Water;

/// <summary>Keeps pairs of readings along seals of doors.</summary>
public sealed class SealReadingStore(Database database, PanelStore panels) : Store<SealReading>(database, "seal_reading", "panel_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(SealReading value) =>
        new Dictionary<string, object?>
        {
            ["place"] = Storage.Columns.Json(value.Place),
            ["gap_mm"] = value.GapMm,
            ["seal_mm"] = value.SealMm,
        };

    /// <inheritdoc/>
    protected override SealReading Read(SqliteDataReader row) => new(row.Json<PanelPoint>("place"), row.Real("gap_mm"), row.Real("seal_mm"));

    /// <inheritdoc/>
    protected override string Title(SealReading value) => "a reading of a seal";

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;
}
