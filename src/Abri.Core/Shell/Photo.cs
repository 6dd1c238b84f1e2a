namespace Abri.Core.Shell;

/// <summary>A photo of a finding; its bytes lie in the photo folder.</summary>
/// <param name="Sha256">Hash of its bytes, in lower-case hexadecimal.</param>
/// <param name="Type">Media type, as its content says.</param>
/// <param name="Bytes">How many bytes.</param>
/// <param name="Caption">What it shows; may be empty.</param>
public sealed record Photo(string Sha256, string Type, long Bytes, string Caption);
