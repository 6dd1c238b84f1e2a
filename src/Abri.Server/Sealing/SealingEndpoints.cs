using System.Text;
using Abri.Core;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Exchange;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage.Sealing;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Sealing;

/// <summary>Products, and the joints of a vehicle.</summary>
internal static class SealingEndpoints
{
    public static void MapSealing(this WebApplication app)
    {
        RouteGroupBuilder products = app.MapGroup("/api/products").WithTags("sealing");
        products.MapGet("/", (ProductStore store) => store.All()).WithName("product-list");
        products
            .MapPost("/", Results<Ok<Stored<Product>>, ProblemHttpResult> (Product value, HttpContext context, ProductStore store) =>
                ProductCheck.Of(value) is { } problem ? Problems.Of(problem) : RecordEndpoints.Answer(context, store.Add(null, value))
            )
            .Validate<Product>()
            .WithName("product-add");
        products
            .MapGroup("/{id}")
            .MapRecord<Product, ProductStore>("product", (_, store, id) => store.Find(id), (_, _, value) => ProductCheck.Of(value));

        RouteGroupBuilder vehicle = app.MapVehicle("sealing");
        vehicle.MapGet("/sealing", (OfVehicle of) => VehicleJoints.Of(of.Snapshot)).WithName("vehicle-joints");
        vehicle
            .MapGet("/joints.csv", (OfVehicle of) => TypedResults.File(Encoding.UTF8.GetBytes(Csv(of.Snapshot)), "text/csv", "joints.csv"))
            .WithName("joint-csv");
        vehicle.MapOnPanel<Joint, JointStore>("joint", (_, joint) => JointCheck.Of(joint), IsOnPanel);
    }

    /// <summary>A joint belongs to something that lies on the same panel.</summary>
    private static Problem? IsOnPanel(JointStore store, string panelId, Joint joint) =>
        joint.Of is null || store.IsOnPanel(panelId, joint.Of)
            ? null
            : new Problem("joint-of-unknown", "/of", "What this joint belongs to is not on its panel any more.");

    private static string Csv(VehicleSnapshot of)
    {
        Dictionary<string, string> names = of.Panels.ToDictionary(p => p.Id, p => PanelWords.Title(p.Value));
        var all = VehicleJoints.Of(of);
        IEnumerable<(string, Joint)> rows = all
            .Joints.Select(j => (names[j.OwnerId!], j.Value))
            .Concat(all.Offered.Select(j => (names[j.PanelId], j.Joint)));
        return JointsCsv.Write(rows.Select(r => (r.Item1, r.Item2, of.Product(r.Item2.ProductId)?.Name)));
    }
}
