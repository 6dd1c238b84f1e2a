using System.Reflection;

namespace Abri.Core.Tests;

public class LayeringTests
{
    /// <summary>Which folders of Core each folder may use; arrows run one way.</summary>
    private static readonly Dictionary<string, string[]> Allowed = new()
    {
        ["Geometry"] = [],
        ["Shell"] = ["Geometry"],
        ["Openings"] = ["Geometry", "Shell"],
        ["Water"] = ["Geometry", "Shell", "Openings"],
        ["Sealing"] = ["Geometry", "Shell", "Openings"],
        ["Procedures"] = ["Geometry", "Shell", "Openings", "Sealing"],
        ["Record"] = ["Geometry", "Shell", "Openings", "Water", "Sealing"],
    };

    [Fact]
    public void Folders_of_the_core_use_only_what_stands_below_them()
    {
        const BindingFlags all = BindingFlags.Public | BindingFlags.NonPublic | BindingFlags.Instance | BindingFlags.Static | BindingFlags.DeclaredOnly;
        var wrong = new List<string>();
        foreach (Type type in typeof(Result<>).Assembly.GetTypes().Where(t => Folder(t) is not null))
        {
            IEnumerable<Type> used = type.GetFields(all).Select(f => f.FieldType)
                .Concat(type.GetMethods(all).SelectMany(Used))
                .Concat(type.GetConstructors(all).SelectMany(Used));
            string from = Folder(type)!;
            Assert.True(Allowed.ContainsKey(from), $"Say in this test what Abri.Core.{from} may use.");
            wrong.AddRange(used.SelectMany(Parts).Select(Folder).OfType<string>()
                .Where(to => to != from && !Allowed[from].Contains(to)).Select(to => $"{type.FullName} uses {to}"));
        }
        Assert.Empty(wrong.Distinct());
    }

    [Fact]
    public void The_core_knows_no_database_web_file_or_clock()
    {
        string[] foreign = ["Sqlite", "AspNetCore", "PdfSharp", "System.IO", "System.Net", "Abri.Storage", "Abri.Exchange", "Abri.Server"];
        IEnumerable<string> names = typeof(Result<>).Assembly.GetReferencedAssemblies().Select(a => a.Name!);
        Assert.DoesNotContain(names, n => foreign.Any(f => n.StartsWith(f, StringComparison.Ordinal)));
    }

    private static IEnumerable<Type> Used(MethodBase method) => method.GetParameters().Select(p => p.ParameterType)
        .Concat(method is MethodInfo m ? [m.ReturnType] : [])
        .Concat(method.GetMethodBody()?.LocalVariables.Select(v => v.LocalType) ?? []);

    private static IEnumerable<Type> Parts(Type type) => type.IsGenericType
        ? type.GetGenericArguments().SelectMany(Parts).Append(type)
        : type.HasElementType ? Parts(type.GetElementType()!) : [type];

    private static string? Folder(Type type) => type.Namespace?.Split('.') is ["Abri", "Core", var folder, ..] ? folder : null;
}
