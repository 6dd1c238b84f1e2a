using System.Diagnostics.CodeAnalysis;

namespace Abri.Core;

/// <summary>What is wrong with an input, in words that a person can act on.</summary>
/// <param name="Code">Stable name of the kind of problem, such as <c>outline-crosses-itself</c>.</param>
/// <param name="Pointer">JSON pointer to the offending field, such as <c>/members/3/footprint</c>; empty for the whole input.</param>
/// <param name="Message">A sentence that says what is wrong and what would be accepted.</param>
public sealed record Problem(string Code, string Pointer, string Message)
{
    /// <summary>The same problem, seen from a record that holds the offending one under <paramref name="prefix"/>.</summary>
    public Problem Under(string prefix) => this with { Pointer = prefix + Pointer };
}

/// <summary>Either a value or the problem that a user caused; exceptions are kept for a programmer's mistakes.</summary>
/// <typeparam name="T">Type of the value.</typeparam>
public sealed class Result<T>
{
    private Result(T? value, Problem? problem) => (Value, Problem) = (value, problem);

    /// <summary>The value; null when there is a problem.</summary>
    public T? Value { get; }

    /// <summary>The problem; null when there is a value.</summary>
    public Problem? Problem { get; }

    /// <summary>Tells which of the two it is and hands out both.</summary>
    public bool IsOk([NotNullWhen(true)] out T? value, [NotNullWhen(false)] out Problem? problem)
    {
        (value, problem) = (Value, Problem);
        return problem is null;
    }

    /// <summary>Wraps a value.</summary>
    public static implicit operator Result<T>(T value) => new(value, null);

    /// <summary>Wraps a problem.</summary>
    public static implicit operator Result<T>(Problem problem) => new(default, problem);
}
