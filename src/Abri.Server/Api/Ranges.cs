using FluentValidation;

namespace Abri.Server.Api;

/// <summary>Rules that say the allowed range in the words of the trade.</summary>
internal static class Ranges
{
    /// <summary>Longest panel, mm: a long coach has twelve metres.</summary>
    public const double LongestMm = 30_000;

    public const int MostMembers = 500, MostPoints = 500;

    public static void Between<T>(this IRuleBuilder<T, double> rule, double low, double high, string name, string unit) =>
        rule.Must(x => x >= low && x <= high).WithMessage((_, x) => $"{name} must lie between {low:0.###} and {high:0.###} {unit}; {x:0.###} was given.");

    public static void Between<T>(this IRuleBuilder<T, double?> rule, double low, double high, string name, string unit) =>
        rule.Must(x => x is null || (x >= low && x <= high)).WithMessage((_, x) => $"{name} must lie between {low:0.###} and {high:0.###} {unit}; {x:0.###} was given.");

    public static void Between<T>(this IRuleBuilder<T, int> rule, int low, int high, string name) =>
        rule.Must(x => x >= low && x <= high).WithMessage((_, x) => $"{name} must lie between {low} and {high}; {x} was given.");

    /// <summary>Lists hold no gaps.</summary>
    public static IRuleBuilderOptions<T, TItem> Given<T, TItem>(this IRuleBuilder<T, TItem> rule) => rule.Must(x => x is not null).WithMessage("An entry of a list is empty (null). Leave it out, or fill it in.");

    public static void Name<T>(this IRuleBuilder<T, string> rule) =>
        rule.Must(x => !string.IsNullOrWhiteSpace(x) && x.Length <= 80 && !x.Any(char.IsControl)).WithMessage("Give it a name of 1 to 80 characters.");

    public static void Notes<T>(this IRuleBuilder<T, string> rule) =>
        rule.Must(x => x.Length <= 4000).WithMessage("Notes may have at most 4000 characters.");

    public static void QuarterTurn<T>(this IRuleBuilder<T, int> rule) =>
        rule.Must(x => x is 0 or 90 or 180 or 270).WithMessage((_, x) => $"A fitting is turned by 0, 90, 180 or 270 degrees; {x} was given.");
}
