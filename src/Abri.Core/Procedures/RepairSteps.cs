using Abri.Core.Metal;
using Abri.Core.Work;

namespace Abri.Core.Procedures;

/// <summary>What the procedures of repairs share.</summary>
internal static class RepairSteps
{
    /// <summary>What is bought beyond what is computed: a fifth more, assumption.</summary>
    public const double Waste = 1.2;

    /// <summary>Weather for primer and colour.</summary>
    public static WeatherNeeds Dry { get; } = new(true, null, TypicalCoats.EpoxyPrimer.LeastC, TypicalCoats.Colour.MostC);

    /// <summary>A step outside, on the ground.</summary>
    public static WorkStep Outside(string key, string title, string what, double amount, params string[] tools) =>
        WorkStep.Of(key, title, what, WorkPlace.Outside, amount, tools);
}
