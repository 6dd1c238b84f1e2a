using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Server.Openings;

/// <summary>Openings of one panel that move together, in one change.</summary>
/// <param name="Moves">Which goes where.</param>
public sealed record OpeningMoves([Count(1, 100, "Move 1 to 100 openings at a time.")] IReadOnlyList<OpeningMove> Moves);

/// <summary>One of them.</summary>
/// <param name="Id">The opening.</param>
/// <param name="Version">The version that the move was made from.</param>
/// <param name="Centre">Where its centre goes.</param>
public sealed record OpeningMove(string Id, int Version, PanelPoint Centre);
