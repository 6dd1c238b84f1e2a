using Abri.Core.Declared;
using Abri.Core.Shell;

namespace Abri.Server.Shell;

/// <summary>Members that are added to a panel in one change, such as those of a run of tape readings.</summary>
/// <param name="Members">The members.</param>
public sealed record MembersToAdd([Count(1, Limits.MostMembers, "Add 1 to 500 members at a time.")] IReadOnlyList<Member> Members);
