namespace Abri.Server.Tests;

public class LayeringTests
{
    [Theory]
    [InlineData("Abri.Core", new string[0])]
    [InlineData("Abri.Storage", new[] { "Abri.Core" })]
    [InlineData("Abri.Exchange", new[] { "Abri.Core" })]
    [InlineData("Abri.Server", new[] { "Abri.Core", "Abri.Exchange", "Abri.Storage" })]
    public void Arrows_between_the_parts_run_one_way(string part, string[] mayUse)
    {
        IEnumerable<string> used = System
            .Reflection.Assembly.Load(part)
            .GetReferencedAssemblies()
            .Select(a => a.Name!)
            .Where(n => n.StartsWith("Abri.", StringComparison.Ordinal));
        Assert.Subset(new HashSet<string>(mayUse), new HashSet<string>(used));
    }
}
