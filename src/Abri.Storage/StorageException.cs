namespace Abri.Storage;

/// <summary>The database cannot be used; the message tells a person why and what to do.</summary>
public sealed class StorageException(string message, Exception? inner = null) : Exception(message, inner);
