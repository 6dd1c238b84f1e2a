using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using Abri.Core.Declared;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.AspNetCore.Routing.Patterns;
using Microsoft.OpenApi;

namespace Abri.Server.Api;

/// <summary>Fixes what would differ from machine to machine in the API's document.</summary>
internal static class OpenApiShape
{
    /// <summary>What a field is declared to hold; forms take their bounds, units and names from it.</summary>
    private static void Limit(OpenApiSchema schema, DeclaredAttribute declared)
    {
        switch (declared)
        {
            case WithinAttribute within:
                (schema.Minimum, schema.Maximum) = (Number(within.Least), Number(within.Most));
                schema.Extensions ??= new Dictionary<string, IOpenApiExtension>();
                schema.Extensions["x-label"] = new JsonNodeExtension(within.Label);
                if (within.Unit.Length > 0)
                    schema.Extensions["x-unit"] = new JsonNodeExtension(within.Unit);
                break;
            case NameAttribute name:
                (schema.MinLength, schema.MaxLength) = (1, name.Most);
                break;
            case LettersAttribute letters:
                schema.MaxLength = letters.Most;
                break;
            case CountAttribute count:
                (schema.MinItems, schema.MaxItems) = (count.Least > 0 ? count.Least : null, count.Most);
                break;
        }
    }

    private static string Number(double value) => value.ToString("0.##########", CultureInfo.InvariantCulture);

    public static void Describe(OpenApiOptions options)
    {
        options.AddSchemaTransformer(
            (schema, context, _) =>
            {
                // Times are read by a converter of their own, of which a schema knows nothing.
                if (context.JsonTypeInfo.Type == typeof(DateTimeOffset))
                    (schema.Type, schema.Format) = (JsonSchemaType.String, "date-time");
                if (context.JsonTypeInfo.Type == typeof(DateTimeOffset?))
                    (schema.Type, schema.Format) = (JsonSchemaType.String | JsonSchemaType.Null, "date-time");
                foreach (
                    object declared in context.JsonPropertyInfo?.AssociatedParameter?.AttributeProvider?.GetCustomAttributes(
                        typeof(DeclaredAttribute),
                        false
                    ) ?? []
                )
                    Limit(schema, (DeclaredAttribute)declared);
                return Task.CompletedTask;
            }
        );
        options.AddOperationTransformer(
            (operation, context, _) =>
            {
                // What a handler takes from the address as a whole, such as the vehicle, is part of the address all the same.
                IEnumerable<string> named = RoutePatternFactory.Parse(context.Description.RelativePath!).Parameters.Select(p => p.Name);
                foreach (string name in named.Where(n => operation.Parameters?.Any(p => p.Name == n) != true).Reverse())
                {
                    operation.Parameters ??= [];
                    operation.Parameters.Insert(
                        0,
                        new OpenApiParameter
                        {
                            Name = name,
                            In = ParameterLocation.Path,
                            Required = true,
                            Schema = new OpenApiSchema { Type = JsonSchemaType.String },
                        }
                    );
                }
                return Task.CompletedTask;
            }
        );
        options.AddDocumentTransformer(
            (document, _, _) =>
            {
                // A field that may be null says so itself; the enum that it refers to holds names only.
                foreach (IOpenApiSchema schema in document.Components?.Schemas?.Values ?? [])
                {
                    foreach (JsonNode none in schema.Enum?.Where(e => e?.GetValueKind() != JsonValueKind.String).ToList() ?? [])
                        schema.Enum!.Remove(none);
                }
                document.Info.Title = "Abri";
                document.Info.Version = "1";
                document.Servers?.Clear();
                return Task.CompletedTask;
            }
        );
    }
}
