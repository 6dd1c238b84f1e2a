using Abri.Core.Openings;
using Abri.Core.Shell;

namespace Abri.Core.Record;

/// <summary>Everything that is kept of one vehicle, in one piece: what travels in a file, what a preset gives.</summary>
/// <param name="Vehicle">The vehicle.</param>
/// <param name="Zones">Zones inside it.</param>
/// <param name="Fittings">The fittings that its openings use.</param>
/// <param name="Panels">Its panels with all that lies on them.</param>
public sealed record VehicleRecord(Vehicle Vehicle, IReadOnlyList<Zone> Zones, IReadOnlyList<KeyedFitting> Fittings, IReadOnlyList<PanelRecord> Panels);

/// <summary>A fitting with the key by which the openings of the same record name it.</summary>
/// <param name="Key">The key; has no meaning outside the record.</param>
/// <param name="Fitting">The fitting.</param>
public sealed record KeyedFitting(string Key, Fitting Fitting);

/// <summary>A panel with all that lies on it.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
/// <param name="Findings">What was found on it.</param>
/// <param name="Openings">Its openings; their fitting's id is a key of <see cref="VehicleRecord.Fittings"/>.</param>
public sealed record PanelRecord(Panel Panel, IReadOnlyList<Member> Members, IReadOnlyList<FindingRecord> Findings, IReadOnlyList<Opening> Openings);

/// <summary>A finding with its photos.</summary>
/// <param name="Finding">The finding.</param>
/// <param name="Photos">Its photos.</param>
public sealed record FindingRecord(Finding Finding, IReadOnlyList<PhotoRecord> Photos);

/// <summary>A photo.</summary>
/// <param name="Type">Media type.</param>
/// <param name="Caption">What it shows; may be empty.</param>
/// <param name="Sha256">Hash of its bytes, in lower-case hexadecimal.</param>
/// <param name="Bytes">How many bytes.</param>
/// <param name="Content">Its bytes; null where the record was written without them.</param>
public sealed record PhotoRecord(string Type, string Caption, string Sha256, long Bytes, byte[]? Content);
