using Abri.Core;
using Abri.Core.Sealing;
using Abri.Storage.Openings;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Sealing;

/// <summary>Keeps the products that seal and bond, which all vehicles share.</summary>
public sealed class ProductStore(Database database) : Store<Product>(database, "product", null)
{
    /// <summary>Puts the typical products into a catalogue that has none, so that there is something to choose from; in one change.</summary>
    public void AddTypicalIfEmpty()
    {
        if (All().Count > 0)
            return;
        using PendingChange pending = Database.Begin();
        foreach (Product product in TypicalProducts.All)
            Insert(pending, null, product);
        pending.Commit(FittingStore.CatalogueScope, "Added typical products");
    }

    private protected override IReadOnlyList<string> UsedBy(string id, Product value) =>
        Database.Query(
            """
            SELECT joint.name || ' (' || vehicle.name || ')' AS used
            FROM joint JOIN panel ON panel.id = joint.panel_id JOIN vehicle ON vehicle.id = panel.vehicle_id
            WHERE joint.product_id = $id ORDER BY vehicle.name, joint.name
            """,
            row => row.Text("used"),
            ("id", id)
        );

    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Product value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["family"] = Storage.Columns.Name(value.Family),
            ["setting"] = Storage.Columns.Name(value.Setting),
            ["grips"] = Storage.Columns.Json(value.Grips),
            ["movement_percent"] = value.MovementPercent,
            ["skin_minutes"] = value.SkinMinutes,
            ["cure_mm_per_day"] = value.CureMmPerDay,
            ["service_from_c"] = value.ServiceFromC,
            ["service_to_c"] = value.ServiceToC,
            ["lay_from_c"] = value.LayFromC,
            ["lay_to_c"] = value.LayToC,
            ["paintable"] = value.Paintable,
            ["removable"] = value.Removable,
            ["structural"] = value.Structural,
            ["cracks_acrylic"] = value.CracksAcrylic,
            ["stands_water"] = value.StandsWater,
            ["stands_sun"] = value.StandsSun,
            ["pack_ml"] = value.PackMl,
            ["shelf_months"] = value.ShelfMonths,
            ["opened_hours"] = value.OpenedHours,
            ["hazards"] = value.Hazards,
            ["known"] = Storage.Columns.Name(value.Known),
        };

    /// <inheritdoc/>
    protected override Product Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Enum<ProductFamily>("family"),
            row.Enum<Setting>("setting"),
            row.Json<IReadOnlyList<Grip>>("grips"),
            row.Real("movement_percent"),
            row.MaybeReal("skin_minutes"),
            row.MaybeReal("cure_mm_per_day"),
            row.Real("service_from_c"),
            row.Real("service_to_c"),
            row.Real("lay_from_c"),
            row.Real("lay_to_c"),
            row.Int("paintable") == 1,
            row.Int("removable") == 1,
            row.Int("structural") == 1,
            row.Int("cracks_acrylic") == 1,
            row.Int("stands_water") == 1,
            row.Int("stands_sun") == 1,
            row.Real("pack_ml"),
            row.Int("shelf_months"),
            row.Real("opened_hours"),
            row.Text("hazards"),
            row.Enum<SourceKind>("known")
        );

    /// <inheritdoc/>
    protected override string Title(Product value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => FittingStore.CatalogueScope;
}
