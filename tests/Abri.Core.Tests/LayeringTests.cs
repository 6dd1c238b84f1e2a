using Mono.Cecil;

namespace Abri.Core.Tests;

public class LayeringTests
{
    /// <summary>Which folders of Core each folder may use; arrows run one way.</summary>
    private static readonly Dictionary<string, string[]> Allowed = new()
    {
        ["Declared"] = [],
        ["Work"] = ["Geometry"],
        ["Geometry"] = ["Declared"],
        ["Shell"] = ["Declared", "Work", "Geometry"],
        ["Openings"] = ["Declared", "Work", "Geometry", "Shell"],
        ["Water"] = ["Declared", "Work", "Geometry", "Shell", "Weather"],
        ["Weather"] = ["Declared", "Shell"],
        ["Sealing"] = ["Declared", "Work", "Geometry", "Shell", "Openings", "Weather"],
        ["Metal"] = ["Declared", "Work", "Geometry", "Shell", "Sealing", "Weather"],
        ["Floor"] = ["Declared", "Work", "Geometry", "Shell", "Sealing", "Weather"],
        ["Linings"] = ["Declared", "Work", "Geometry", "Shell", "Openings", "Floor"],
        ["Days"] = ["Declared", "Work", "Shell", "Weather"],
        ["Bench"] = ["Declared", "Work", "Geometry", "Shell", "Openings", "Weather"],
        ["Logbook"] = ["Declared", "Geometry", "Weather", "Bench"],
        ["Load"] = ["Declared"],
        ["Stores"] = ["Declared", "Work", "Shell"],
        ["Procedures"] = ["Declared", "Work", "Geometry", "Shell", "Openings", "Sealing", "Metal", "Floor", "Linings", "Stores"],
        ["Record"] =
        [
            "Declared",
            "Geometry",
            "Shell",
            "Openings",
            "Water",
            "Sealing",
            "Metal",
            "Floor",
            "Linings",
            "Weather",
            "Days",
            "Bench",
            "Logbook",
            "Load",
            "Stores",
            "Work",
        ],
        ["Stages"] =
        [
            "Work",
            "Geometry",
            "Shell",
            "Openings",
            "Water",
            "Sealing",
            "Metal",
            "Floor",
            "Linings",
            "Procedures",
            "Record",
            "Weather",
            "Days",
            "Bench",
            "Logbook",
            "Load",
            "Stores",
        ],
    };

    [Fact] // CsCheck's own Sample draws other cases each time: green by luck. Property.Holds draws the same ones
    public void Random_cases_are_the_same_ones_every_time()
    {
        using var tests = AssemblyDefinition.ReadAssembly(typeof(LayeringTests).Assembly.Location);
        string[] drawn =
        [
            .. tests
                .MainModule.GetTypes()
                .SelectMany(t => t.Methods)
                .Where(m => m.HasBody)
                .Where(m => m.Body.Instructions.Any(i => i.Operand is MethodReference { Name: "Sample", DeclaringType.Namespace: "CsCheck" }))
                .Select(m => m.FullName),
        ];
        Assert.Empty(drawn);
    }

    [Fact] // Everything that the compiled code names is looked at, static calls within methods included: read by Mono.Cecil
    public void Folders_of_the_core_use_only_what_stands_below_them()
    {
        using var core = AssemblyDefinition.ReadAssembly(typeof(Result<>).Assembly.Location);
        var arrows = new SortedSet<string>(StringComparer.Ordinal);
        foreach (TypeDefinition type in core.MainModule.GetTypes())
        {
            if (Folder(type) is not { } from)
                continue;
            foreach (string to in Used(type).SelectMany(Parts).Select(Folder).OfType<string>().Where(to => to != from))
                arrows.Add($"{from} -> {to}");
        }
        Assert.Equal(Allowed.SelectMany(a => a.Value.Select(to => $"{a.Key} -> {to}")).Order(StringComparer.Ordinal), arrows);
    }

    [Fact] // A result depends on what goes in alone
    public void The_core_asks_no_clock_and_throws_no_dice()
    {
        using var core = AssemblyDefinition.ReadAssembly(typeof(Result<>).Assembly.Location);
        string[] forbidden =
        [
            "System.DateTime::get_Now",
            "System.DateTime::get_UtcNow",
            "System.DateTimeOffset::get_Now",
            "System.DateTimeOffset::get_UtcNow",
            "System.TimeProvider::",
            "System.Random::",
            "System.Guid::New",
        ];
        IEnumerable<string> called = core
            .MainModule.GetTypes()
            .SelectMany(t => t.Methods)
            .Where(m => m.HasBody)
            .SelectMany(m => m.Body.Instructions)
            .Select(i => i.Operand)
            .OfType<MethodReference>()
            .Select(m => m.FullName);
        Assert.DoesNotContain(called, name => forbidden.Any(f => name.Contains(f, StringComparison.Ordinal)));
    }

    [Fact]
    public void The_arrows_are_those_of_the_picture()
    {
        string picture = File.ReadAllText(Path.Combine(Root(), "docs/architecture.md"));
        string[] lines =
        [
            .. Allowed.Select(a => $"| `{a.Key}` | {(a.Value.Length == 0 ? "-" : string.Join(", ", a.Value.Select(to => $"`{to}`")))} |"),
        ];
        Assert.All(lines, line => Assert.Contains(line, picture));
    }

    [Fact]
    public void The_core_knows_no_database_web_file_or_clock()
    {
        string[] foreign = ["Sqlite", "AspNetCore", "PdfSharp", "System.IO", "System.Net", "Abri.Storage", "Abri.Exchange", "Abri.Server"];
        IEnumerable<string> names = typeof(Result<>).Assembly.GetReferencedAssemblies().Select(a => a.Name!);
        Assert.DoesNotContain(names, n => foreign.Any(f => n.StartsWith(f, StringComparison.Ordinal)));
    }

    private static IEnumerable<TypeReference> Used(TypeDefinition type)
    {
        IEnumerable<TypeReference> declared = type.Fields.Select(f => f.FieldType).Concat(type.Interfaces.Select(i => i.InterfaceType));
        return declared.Concat(type.BaseType is null ? [] : [type.BaseType]).Concat(type.Methods.SelectMany(Used));
    }

    private static IEnumerable<TypeReference> Used(MethodDefinition method)
    {
        IEnumerable<TypeReference> signature = method
            .Parameters.SelectMany(p => p.CustomAttributes.Select(a => a.AttributeType).Append(p.ParameterType))
            .Append(method.ReturnType);
        if (!method.HasBody)
            return signature;
        IEnumerable<TypeReference> called = method.Body.Instructions.SelectMany(i =>
            i.Operand switch
            {
                GenericInstanceMethod generic => [generic.DeclaringType, .. generic.GenericArguments],
                MemberReference member => new[] { member as TypeReference ?? member.DeclaringType },
                _ => [],
            }
        );
        return signature.Concat(method.Body.Variables.Select(v => v.VariableType)).Concat(called);
    }

    private static IEnumerable<TypeReference> Parts(TypeReference type) =>
        type is GenericInstanceType generic ? generic.GenericArguments.SelectMany(Parts).Append(generic.ElementType)
        : type is TypeSpecification of ? Parts(of.ElementType)
        : [type];

    private static string? Folder(TypeReference type)
    {
        while (type.DeclaringType is not null)
            type = type.DeclaringType;
        return type.Namespace.Split('.') is ["Abri", "Core", var folder, ..] ? folder : null;
    }

    internal static string Root()
    {
        string? folder = AppContext.BaseDirectory;
        while (folder is not null && !File.Exists(Path.Combine(folder, "Abri.slnx")))
            folder = Path.GetDirectoryName(folder);
        return folder!;
    }
}
