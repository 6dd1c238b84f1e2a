namespace Abri.Storage.Logbook;

/// <summary>The stores of what is looked after.</summary>
/// <param name="Done">That it was.</param>
/// <param name="Own">What somebody wrote down.</param>
public sealed record UpkeepStores(UpkeepDoneStore Done, OwnUpkeepStore Own);
