using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.AspNetCore.Routing.Patterns;
using Microsoft.OpenApi;

namespace Abri.Server.Api;

/// <summary>Fixes what would differ from machine to machine in the API's document.</summary>
internal static class OpenApiShape
{
    public static void Describe(OpenApiOptions options)
    {
        options.AddSchemaTransformer((schema, context, _) =>
        {
            // Times are read by a converter of their own, of which a schema knows nothing.
            if (context.JsonTypeInfo.Type == typeof(DateTimeOffset)) (schema.Type, schema.Format) = (JsonSchemaType.String, "date-time");
            if (context.JsonTypeInfo.Type == typeof(DateTimeOffset?)) (schema.Type, schema.Format) = (JsonSchemaType.String | JsonSchemaType.Null, "date-time");
            return Task.CompletedTask;
        });
        options.AddOperationTransformer((operation, context, _) =>
        {
            // What a handler takes from the address as a whole, such as the vehicle, is part of the address all the same.
            IEnumerable<string> named = RoutePatternFactory.Parse(context.Description.RelativePath!).Parameters.Select(p => p.Name);
            foreach (string name in named.Where(n => operation.Parameters?.Any(p => p.Name == n) != true).Reverse())
            {
                operation.Parameters ??= [];
                operation.Parameters.Insert(0, new OpenApiParameter { Name = name, In = ParameterLocation.Path, Required = true, Schema = new OpenApiSchema { Type = JsonSchemaType.String } });
            }
            return Task.CompletedTask;
        });
        options.AddDocumentTransformer((document, _, _) =>
        {
            // A field that may be null says so itself; the enum that it refers to holds names only.
            foreach (IOpenApiSchema schema in document.Components?.Schemas?.Values ?? [])
            {
                foreach (JsonNode none in schema.Enum?.Where(e => e?.GetValueKind() != JsonValueKind.String).ToList() ?? []) schema.Enum!.Remove(none);
            }
            document.Info.Title = "Abri";
            document.Info.Version = "1";
            document.Servers?.Clear();
            return Task.CompletedTask;
        });
    }
}
