using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Storage;

namespace Abri.Server.Shell;

/// <summary>A vehicle with everything on it, as the screens load it.</summary>
/// <param name="Vehicle">The vehicle.</param>
/// <param name="Panels">Its panels.</param>
/// <param name="Members">Members of all panels.</param>
/// <param name="Zones">Zones inside.</param>
/// <param name="Openings">Openings in all panels.</param>
public sealed record WholeShell(
    Stored<Vehicle> Vehicle, IReadOnlyList<Stored<Panel>> Panels, IReadOnlyList<Stored<Member>> Members, IReadOnlyList<Stored<Zone>> Zones,
    IReadOnlyList<Stored<Opening>> Openings);
