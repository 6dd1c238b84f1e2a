using System.Text;
using Abri.Core.Sealing;
using Abri.Exchange;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage;
using Abri.Storage.Sealing;
using Abri.Storage.Shell;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Sealing;

/// <summary>Products, and the joints of a vehicle.</summary>
internal static class SealingEndpoints
{
    public static void MapSealing(this WebApplication app)
    {
        RouteGroupBuilder products = app.MapGroup("/api/products").WithTags("sealing");
        products.MapGet("/", (ProductStore store) => store.All()).WithName("product-list");
        products.MapPost("/", Results<Ok<Stored<Product>>, ProblemHttpResult> (Product value, HttpContext context, ProductStore store) =>
            ProductCheck.Of(value) is { } problem ? Problems.Of(problem) : RecordEndpoints.Answer(context, store.Add(null, value)))
            .Validate<Product>().WithName("product-add");
        products.MapGroup("/{id}").MapRecord<Product, ProductStore>("product", (_, store, id) => store.Find(id), (_, _, value) => ProductCheck.Of(value));

        RouteGroupBuilder vehicle = app.MapGroup("/api/vehicles/{vehicleId}").WithTags("sealing").AddEndpointFilter(ShellEndpoints.VehicleExists);
        vehicle.MapGet("/sealing", (string vehicleId, VehicleJointReader reader) => TypedResults.Ok(reader.Of(vehicleId))).WithName("vehicle-joints");
        vehicle.MapGet("/joints.csv", (string vehicleId, PanelStore panels, VehicleJointReader reader) =>
        {
            Dictionary<string, string> names = panels.All(vehicleId).ToDictionary(p => p.Id, p => WholeShell.Words(p.Value));
            VehicleJoints all = reader.Of(vehicleId);
            string csv = JointsCsv.Write([.. all.Joints.Select(j => (names[j.OwnerId!], j.Value)), .. all.Offered.Select(j => (names[j.PanelId], j.Joint))]);
            return TypedResults.File(Encoding.UTF8.GetBytes(csv), "text/csv", "joints.csv");
        }).WithName("joint-csv");
        vehicle.MapOnPanel<Joint, JointStore>("joint", (_, joint) => JointCheck.Of(joint));
    }
}
