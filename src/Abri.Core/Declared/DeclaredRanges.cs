using System.Collections;
using System.Collections.Concurrent;
using System.Linq.Expressions;
using System.Reflection;
using System.Text.Json;

namespace Abri.Core.Declared;

/// <summary>Holds a record, with all records in it, against what its fields are declared to hold.</summary>
/// <remarks>Fields in the order in which they are declared, each before what it holds; then what bears on one another. What a type declares is read
/// once.</remarks>
public static class DeclaredRanges
{
    private static readonly ConcurrentDictionary<Type, Plan> Plans = new();

    /// <summary>The first thing that is wrong, with its place as a JSON pointer; null where nothing is.</summary>
    /// <param name="record">The record.</param>
    /// <returns>A problem of code <c>out-of-range</c>.</returns>
    public static Problem? Of(object record) => Wrong(record) is var (pointer, message) ? new Problem("out-of-range", pointer, message) : null;

    private static (string Pointer, string Message)? Wrong(object record)
    {
        Plan plan = Plans.GetOrAdd(record.GetType(), type => new Plan(type));
        foreach (Field field in plan.Fields)
        {
            if (field.Read(record) is not { } value)
                continue;
            foreach (DeclaredAttribute declared in field.Declared)
            {
                if (declared.Wrong(value) is var (below, message))
                    return ($"/{field.Name}{below}", message);
            }
            if (field.Holds == Holding.Record && Wrong(value) is var (inner, wrong))
                return ($"/{field.Name}{inner}", wrong);
            if (field.Holds == Holding.List && InList((IEnumerable)value, field.Entries) is var (entry, said))
                return ($"/{field.Name}{entry}", said);
        }
        return record is IConsistent consistent && consistent.Contradiction() is var (name, contradiction) ? ($"/{name}", contradiction) : null;
    }

    private static (string Pointer, string Message)? InList(IEnumerable list, Holding entries)
    {
        int i = 0;
        foreach (object? entry in list)
        {
            if (entry is null)
                return ($"/{i}", "An entry of a list is empty (null). Leave it out, or fill it in.");
            if (entries == Holding.Record && Wrong(entry) is var (pointer, message))
                return ($"/{i}{pointer}", message);
            i++;
        }
        return null;
    }

    /// <summary>What has to be looked into.</summary>
    private enum Holding
    {
        Nothing,
        Record,
        List,
    }

    private sealed record Field(string Name, Func<object, object?> Read, DeclaredAttribute[] Declared, Holding Holds, Holding Entries);

    private sealed class Plan
    {
        public Plan(Type type)
        {
            ParameterInfo[] parameters = type.GetConstructors().MaxBy(c => c.GetParameters().Length)?.GetParameters() ?? [];
            Fields =
            [
                .. parameters
                    .Select(p => (Parameter: p, Property: type.GetProperty(p.Name!)))
                    .Where(x => x.Property is not null)
                    .Select(x => FieldOf(x.Property!, [.. x.Parameter.GetCustomAttributes<DeclaredAttribute>()]))
                    .Where(f => f.Declared.Length > 0 || f.Holds != Holding.Nothing),
            ];
        }

        public Field[] Fields { get; }

        private static Field FieldOf(PropertyInfo property, DeclaredAttribute[] declared)
        {
            Type type = property.PropertyType;
            Type? entry =
                type == typeof(string)
                    ? null
                    : type.GetInterfaces()
                        .Append(type)
                        .FirstOrDefault(i => i.IsGenericType && i.GetGenericTypeDefinition() == typeof(IEnumerable<>))
                        ?.GetGenericArguments()[0];
            Holding entries =
                entry is null ? Holding.Nothing
                : IsRecord(entry) ? Holding.Record
                : Holding.Nothing;
            // Lists of plain values hold no nulls that a type would not show.
            Holding holds =
                entry is not null && (entries == Holding.Record || !entry.IsValueType) ? Holding.List
                : IsRecord(type) ? Holding.Record
                : Holding.Nothing;
            return new Field(JsonNamingPolicy.CamelCase.ConvertName(property.Name), Reader(property), declared, holds, entries);
        }

        private static bool IsRecord(Type type)
        {
            Type plain = Nullable.GetUnderlyingType(type) ?? type;
            return !plain.IsEnum
                && plain.Namespace?.StartsWith("Abri.", StringComparison.Ordinal) == true
                && !typeof(IEnumerable).IsAssignableFrom(plain);
        }

        private static Func<object, object?> Reader(PropertyInfo property)
        {
            ParameterExpression record = Expression.Parameter(typeof(object));
            Expression read = Expression.Property(Expression.Convert(record, property.DeclaringType!), property);
            return Expression.Lambda<Func<object, object?>>(Expression.Convert(read, typeof(object)), record).Compile();
        }
    }
}
