namespace Abri.Core.Declared;

/// <summary>What a field of a record may hold, said once, where the field is: the answer to a wrong value, the API's document and forms
/// follow.</summary>
[AttributeUsage(AttributeTargets.Parameter | AttributeTargets.Property)]
public abstract class DeclaredAttribute : Attribute
{
    /// <summary>What is wrong with a value that is there, seen from its field; null where nothing is.</summary>
    /// <param name="value">The value; never null, since a field without one has nothing that could be out of range.</param>
    public abstract (string Pointer, string Message)? Wrong(object value);

    /// <summary>What is wrong with the field itself.</summary>
    protected static (string Pointer, string Message) Here(string message) => ("", message);
}

/// <summary>A record whose fields bear on one another within it.</summary>
public interface IConsistent
{
    /// <summary>The field that contradicts another, as in JSON, and what is wrong; null where nothing is.</summary>
    (string Field, string Message)? Contradiction();
}
