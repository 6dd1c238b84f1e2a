using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;
using CsCheck;

namespace Abri.Tests;

/// <summary>
/// Tries a property on random cases: the same ones in every <c>./check</c>, so that green means something, and fresh ones in <c>./check --long</c>.
/// </summary>
/// <remarks>
/// Each case has a seed of its own, which the failure names. <c>ABRI_SEED</c> tries that one case again; <c>ABRI_FRESH</c> (a number) moves all cases
/// and
/// multiplies them by <see cref="LongerBy"/>. What a fresh case finds becomes a fixed test. <c>ABRI_FAST=1</c> tries the first fifth, for the inner
/// loop.
/// </remarks>
internal static class Property
{
    private const ulong Fixed = 20260101;
    private const int LongerBy = 5;

    /// <summary>Tuples keep what they hold in fields.</summary>
    private static readonly JsonSerializerOptions Printed = new()
    {
        IncludeFields = true,
        NumberHandling = JsonNumberHandling.AllowNamedFloatingPointLiterals,
    };

    private static readonly int FewerBy = Environment.GetEnvironmentVariable("ABRI_FAST") == "1" ? 5 : 1;
    private static readonly string? Again = Environment.GetEnvironmentVariable("ABRI_SEED");
    private static readonly ulong? Fresh = Environment.GetEnvironmentVariable("ABRI_FRESH") is { Length: > 0 } n
        ? ulong.Parse(n, CultureInfo.InvariantCulture)
        : null;

    /// <summary>Fails unless every case passes; a case that throws has failed.</summary>
    /// <param name="gen">Makes the cases.</param>
    /// <param name="check">What holds.</param>
    /// <param name="cases">How many are tried.</param>
    public static void Holds<T>(this Gen<T> gen, Action<T> check, int cases = 100)
    {
        if (Again is not null)
        {
            check(gen.Generate(PCG.Parse(Again), null, out _));
            return;
        }
        for (int i = 0; i < (Fresh is null ? Math.Max(1, cases / FewerBy) : LongerBy * cases); i++)
        {
            var random = new PCG((uint)i + 1, Fresh ?? Fixed);
            string seed = random.ToString();
            T drawn = gen.Generate(random, null, out _);
            try
            {
                check(drawn);
            }
            catch (Exception wrong)
            {
                throw new PropertyBroken($"Case {i + 1}, seed {seed} (try it again with ABRI_SEED={seed}): {wrong.Message}\n{Print(drawn)}", wrong);
            }
        }
    }

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int)"/>
    public static void Holds<T>(this Gen<T> gen, Func<T, bool> check, int cases = 100) =>
        gen.Holds(new Action<T>(drawn => Assert.True(check(drawn), "it does not hold")), cases);

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int)"/>
    public static void Holds<T1, T2>(this Gen<(T1, T2)> gen, Action<T1, T2> check, int cases = 100) => gen.Holds(x => check(x.Item1, x.Item2), cases);

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int)"/>
    public static void Holds<T1, T2>(this Gen<(T1, T2)> gen, Func<T1, T2, bool> check, int cases = 100) =>
        gen.Holds(x => check(x.Item1, x.Item2), cases);

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int)"/>
    public static void Holds<T1, T2, T3>(this Gen<(T1, T2, T3)> gen, Action<T1, T2, T3> check, int cases = 100) =>
        gen.Holds(x => check(x.Item1, x.Item2, x.Item3), cases);

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int)"/>
    public static void Holds<T1, T2, T3>(this Gen<(T1, T2, T3)> gen, Func<T1, T2, T3, bool> check, int cases = 100) =>
        gen.Holds(x => check(x.Item1, x.Item2, x.Item3), cases);

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int)"/>
    public static void Holds<T1, T2, T3, T4>(this Gen<(T1, T2, T3, T4)> gen, Action<T1, T2, T3, T4> check, int cases = 100) =>
        gen.Holds(x => check(x.Item1, x.Item2, x.Item3, x.Item4), cases);

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int)"/>
    public static void Holds<T1, T2, T3, T4>(this Gen<(T1, T2, T3, T4)> gen, Func<T1, T2, T3, T4, bool> check, int cases = 100) =>
        gen.Holds(x => check(x.Item1, x.Item2, x.Item3, x.Item4), cases);

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int)"/>
    public static void Holds<T1, T2, T3, T4, T5>(this Gen<(T1, T2, T3, T4, T5)> gen, Action<T1, T2, T3, T4, T5> check, int cases = 100) =>
        gen.Holds(x => check(x.Item1, x.Item2, x.Item3, x.Item4, x.Item5), cases);

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int)"/>
    public static void Holds<T1, T2, T3, T4, T5>(this Gen<(T1, T2, T3, T4, T5)> gen, Func<T1, T2, T3, T4, T5, bool> check, int cases = 100) =>
        gen.Holds(x => check(x.Item1, x.Item2, x.Item3, x.Item4, x.Item5), cases);

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int)"/>
    public static void Holds<T1, T2, T3, T4, T5, T6>(this Gen<(T1, T2, T3, T4, T5, T6)> gen, Action<T1, T2, T3, T4, T5, T6> check, int cases = 100) =>
        gen.Holds(x => check(x.Item1, x.Item2, x.Item3, x.Item4, x.Item5, x.Item6), cases);

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int)"/>
    public static void Holds<T1, T2, T3, T4, T5, T6>(
        this Gen<(T1, T2, T3, T4, T5, T6)> gen,
        Func<T1, T2, T3, T4, T5, T6, bool> check,
        int cases = 100
    ) => gen.Holds(x => check(x.Item1, x.Item2, x.Item3, x.Item4, x.Item5, x.Item6), cases);

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int)"/>
    public static void Holds<T1, T2, T3, T4, T5, T6, T7, T8>(
        this Gen<(T1, T2, T3, T4, T5, T6, T7, T8)> gen,
        Action<T1, T2, T3, T4, T5, T6, T7, T8> check,
        int cases = 100
    ) => gen.Holds(x => check(x.Item1, x.Item2, x.Item3, x.Item4, x.Item5, x.Item6, x.Item7, x.Item8), cases);

    /// <inheritdoc cref="Holds{T}(Gen{T}, Action{T}, int)"/>
    public static void Holds<T1, T2, T3, T4, T5, T6, T7, T8>(
        this Gen<(T1, T2, T3, T4, T5, T6, T7, T8)> gen,
        Func<T1, T2, T3, T4, T5, T6, T7, T8, bool> check,
        int cases = 100
    ) => gen.Holds(x => check(x.Item1, x.Item2, x.Item3, x.Item4, x.Item5, x.Item6, x.Item7, x.Item8), cases);

    private static string Print<T>(T drawn)
    {
        string text = JsonSerializer.Serialize(drawn, Printed);
        return text.Length > 4000 ? text[..4000] + "..." : text;
    }
}

/// <summary>A random case in which a property does not hold.</summary>
internal sealed class PropertyBroken(string message, Exception inner) : Exception(message, inner);

/// <summary>Marks tests that only <c>./check --long</c> runs: those over ten seconds.</summary>
internal static class Long
{
    public const string Name = "Length";

    public const string Value = "Long";
}
