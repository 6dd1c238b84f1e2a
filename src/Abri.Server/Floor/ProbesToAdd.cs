using Abri.Core.Declared;
using Abri.Core.Floor;

namespace Abri.Server.Floor;

/// <summary>Probes that are added to a panel in one change, such as those of a grid.</summary>
/// <param name="Probes">The probes.</param>
public sealed record ProbesToAdd([Count(1, ProbeGrid.Most, "Add 1 to {1} probes at a time.")] IReadOnlyList<Probe> Probes);
