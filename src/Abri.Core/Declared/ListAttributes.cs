using System.Collections;
using System.Globalization;

namespace Abri.Core.Declared;

/// <summary>A list has so many entries.</summary>
/// <param name="least">Fewest.</param>
/// <param name="most">Most.</param>
/// <param name="message">What is said of any other; <c>{0}</c> and <c>{1}</c> stand for the fewest and the most.</param>
public class CountAttribute(int least, int most, string message) : DeclaredAttribute
{
    /// <summary>Fewest entries.</summary>
    public int Least => least;

    /// <summary>Most entries.</summary>
    public int Most => most;

    /// <inheritdoc/>
    public override (string Pointer, string Message)? Wrong(object value)
    {
        int count = value is ICollection list ? list.Count : ((IEnumerable)value).Cast<object?>().Count();
        return count >= least && count <= most ? null : Here(string.Format(CultureInfo.InvariantCulture, message, least, most));
    }
}

/// <summary>Members of one panel: not too many.</summary>
public sealed class MembersAttribute() : CountAttribute(0, Limits.MostMembers, "A panel has at most 500 members.");

/// <summary>Zones of one vehicle: not too many.</summary>
public sealed class ZonesAttribute() : CountAttribute(0, 100, "A vehicle has at most 100 zones.");

/// <summary>Openings of one panel: not too many.</summary>
public sealed class NeighboursAttribute() : CountAttribute(0, 100, "A panel has at most 100 openings.");

/// <summary>Sliding doors of one vehicle: not too many.</summary>
public sealed class DoorsAttribute() : CountAttribute(0, 10, "A vehicle has at most 10 sliding doors.");

/// <summary>Wishes that are weighed: not too many.</summary>
public sealed class WishesAttribute() : CountAttribute(0, 20, "At most 20 wishes can be weighed.");
