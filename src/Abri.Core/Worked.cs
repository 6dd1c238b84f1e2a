namespace Abri.Core;

/// <summary>A result together with the calculation that led to it.</summary>
/// <typeparam name="T">Type of the result.</typeparam>
/// <param name="Result">The answer.</param>
/// <param name="Steps">The worked calculation, in the order in which it was done.</param>
/// <param name="Sources">Where the rules and values come from.</param>
/// <param name="Warnings">What the reader must know before trusting the answer; empty as a rule.</param>
public sealed record Worked<T>(T Result, IReadOnlyList<Step> Steps, IReadOnlyList<Source> Sources, IReadOnlyList<string> Warnings)
    where T : notnull;

/// <summary>One line of a worked calculation.</summary>
/// <param name="Symbol">Short symbol, such as <c>c_front</c>.</param>
/// <param name="Meaning">What the symbol stands for.</param>
/// <param name="Formula">How the value is found from the symbols before it.</param>
/// <param name="Value">The value, in <paramref name="Unit"/>.</param>
/// <param name="Unit">Unit of the value: mm, m2, ml, degrees, count; empty for a pure number.</param>
public sealed record Step(string Symbol, string Meaning, string Formula, double Value, string Unit);

/// <summary>Where a rule or a value comes from.</summary>
/// <param name="Name">Title of a publication, or a description of the practice.</param>
/// <param name="Kind">How far it can be trusted.</param>
public sealed record Source(string Name, SourceKind Kind);

/// <summary>How far a rule or a value can be trusted.</summary>
public enum SourceKind
{
    /// <summary>Stands in a publication that is named.</summary>
    Published,

    /// <summary>What practitioners do, without a source that could be cited.</summary>
    CommonPractice,

    /// <summary>Recalled from a publication, not looked up.</summary>
    FromMemory,

    /// <summary>Assumed by this program.</summary>
    Assumption,

    /// <summary>Follows from geometry alone.</summary>
    Geometry,
}

/// <summary>Collects the steps of a calculation while it is being done, so that they are never written a second time by hand.</summary>
internal sealed class Worksheet
{
    private readonly List<Step> steps = [];
    private readonly List<Source> sources = [];
    private readonly List<string> warnings = [];

    /// <summary>Notes a step and hands its value on.</summary>
    public double Step(string symbol, string meaning, string formula, double value, string unit)
    {
        steps.Add(new Step(symbol, meaning, formula, Math.Round(value, 4), unit));
        return value;
    }

    public void Cite(Source source)
    {
        if (!sources.Contains(source))
            sources.Add(source);
    }

    /// <summary>Takes over the calculation of a part.</summary>
    public void Take<T>(Worked<T> part)
        where T : notnull
    {
        steps.AddRange(part.Steps);
        foreach (Source source in part.Sources)
            Cite(source);
    }

    public void Warn(string warning) => warnings.Add(warning);

    public Worked<T> Finish<T>(T result)
        where T : notnull => new(result, steps, sources, warnings);
}
