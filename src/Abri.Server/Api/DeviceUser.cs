namespace Abri.Server.Api;

/// <summary>Who works at a device, as it says with every change: a name that was typed there once.</summary>
internal static class DeviceUser
{
    /// <summary>The header; its value is percent-encoded UTF-8.</summary>
    public const string Header = "Abri-Person";

    private const int MostLetters = 80;

    /// <summary>The name; null where none came, or one that nobody can bear.</summary>
    public static string? Of(HttpContext? context)
    {
        string? said = context?.Request.Headers[Header].FirstOrDefault();
        string name = said is null ? "" : Uri.UnescapeDataString(said).Trim();
        return name.Length is > 0 and <= MostLetters && !name.Any(char.IsControl) ? name : null;
    }
}
