using System.Globalization;
using Abri.Core.Declared;

namespace Abri.Core.Geometry;

/// <summary>A rectangle that encloses an area and has no endless sides.</summary>
/// <param name="label">What it is, as it begins a sentence.</param>
public sealed class EnclosingAttribute(string label) : DeclaredAttribute
{
    /// <inheritdoc/>
    public override (string Pointer, string Message)? Wrong(object value)
    {
        var box = (PanelBox)value;
        bool encloses =
            box is { WidthMm: > 0 and <= Limits.LongestMm, HeightMm: > 0 and <= Limits.LongestMm }
            && double.IsFinite(box.Centre.SMm)
            && double.IsFinite(box.Centre.TMm);
        const double metres = Limits.LongestMm / 1000;
        return encloses
            ? null
            : Here(string.Create(CultureInfo.InvariantCulture, $"{label} has to enclose an area of at most {metres:0} m by {metres:0} m."));
    }
}
