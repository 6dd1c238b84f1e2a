using Abri.Core.Declared;

namespace Abri.Core.Load;

/// <summary>That the vehicle stood on a weighbridge.</summary>
/// <param name="On">When.</param>
/// <param name="State">With what it was weighed.</param>
/// <param name="Reading">What the bridge showed.</param>
/// <param name="Aboard">What was aboard besides the empty base, as the program knew it then: kept with the weighing, since more comes later.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record Weighing([Dated] DateOnly On, LoadState State, WeighbridgeReading Reading, AxleShares Aboard, [Notes] string Notes);
