using Abri.Core.Geometry;
using Abri.Core.Openings;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Openings;

/// <summary>Keeps the catalogue of fittings, which all vehicles share.</summary>
public sealed class FittingStore(Database database) : Store<Fitting>(database, "fitting", null)
{
    /// <summary>Scope of changes to the catalogue.</summary>
    public const string CatalogueScope = "catalogue";

    /// <summary>Puts the typical fittings into a catalogue that has none, so that there is something to copy; in one change.</summary>
    public void AddTypicalIfEmpty()
    {
        if (All().Count > 0)
            return;
        using PendingChange pending = Database.Begin();
        foreach (Fitting fitting in TypicalFittings.All)
            Insert(pending, null, fitting);
        pending.Commit(CatalogueScope, "Added typical fittings");
    }

    private protected override IReadOnlyList<string> UsedBy(string id, Fitting value) =>
        Database.Query(
            "SELECT opening.name || ' (' || vehicle.name || ')' AS used FROM opening JOIN panel ON panel.id = opening.panel_id JOIN "
                + "vehicle ON vehicle.id = panel.vehicle_id WHERE opening.fitting_id = $id ORDER BY vehicle.name, opening.name",
            row => row.Text("used"),
            ("id", id)
        );

    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Fitting value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["cut_out"] = Storage.Columns.Json(value.CutOut),
            ["tolerance_minus_mm"] = value.ToleranceMinusMm,
            ["tolerance_plus_mm"] = value.TolerancePlusMm,
            ["neck"] = Storage.Columns.Json(value.Neck),
            ["flange"] = Storage.Columns.Json(value.Flange),
            ["least_lap_mm"] = value.LeastLapMm,
            ["clearance"] = Storage.Columns.Json(value.Clearance),
            ["mass_kg"] = value.MassKg,
            ["vibrates"] = value.Vibrates ? 1 : 0,
            ["hinge_side"] = value.HingeSide is { } side ? Storage.Columns.Name(side) : null,
            ["sweep"] = Storage.Columns.Json(value.Sweep),
            ["flatness_mm"] = value.FlatnessMm,
            ["bedding_most_mm"] = value.BeddingMostMm,
            ["clamp"] = Storage.Columns.MaybeJson(value.Clamp),
            ["screws"] = Storage.Columns.MaybeJson(value.Screws),
            ["halves"] = Storage.Columns.MaybeJson(value.Halves),
            ["bonded"] = Storage.Columns.MaybeJson(value.Bonded),
            ["air"] = Storage.Columns.MaybeJson(value.Air),
            ["heat_mm"] = value.HeatMm,
            ["needs_power"] = value.NeedsPower,
            ["mouth_mm"] = value.MouthMm,
        };

    /// <inheritdoc/>
    protected override Fitting Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Enum<FittingKind>("kind"),
            row.Json<RoundedRectangle>("cut_out"),
            row.Real("tolerance_minus_mm"),
            row.Real("tolerance_plus_mm"),
            row.Json<RoundedRectangle>("neck"),
            row.Json<RoundedRectangle>("flange"),
            row.Real("least_lap_mm"),
            row.Json<PerSide>("clearance"),
            row.Real("mass_kg"),
            row.Int("vibrates") == 1,
            row.MaybeText("hinge_side") is null ? null : row.Enum<Side>("hinge_side"),
            row.Json<PerSide>("sweep"),
            row.Real("flatness_mm"),
            row.Real("bedding_most_mm"),
            row.MaybeJson<ClampRange>("clamp"),
            row.MaybeJson<FlangeScrews>("screws"),
            row.MaybeJson<Halves>("halves"),
            row.MaybeJson<Bonded>("bonded"),
            row.MaybeJson<AirPassage>("air"),
            row.Real("heat_mm"),
            row.Int("needs_power") == 1,
            row.MaybeReal("mouth_mm")
        );

    /// <inheritdoc/>
    protected override string Title(Fitting value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => CatalogueScope;
}
