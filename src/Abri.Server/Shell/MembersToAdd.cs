using Abri.Core.Shell;
using Abri.Server.Api;
using FluentValidation;

namespace Abri.Server.Shell;

/// <summary>Members that are added to a panel in one change, such as those of a run of tape readings.</summary>
/// <param name="Members">The members.</param>
public sealed record MembersToAdd(IReadOnlyList<Member> Members);

internal sealed class MembersToAddValidator : AbstractValidator<MembersToAdd>
{
    public MembersToAddValidator()
    {
        RuleFor(x => x.Members).Must(m => m.Count is >= 1 and <= Ranges.MostMembers).WithMessage($"Add 1 to {Ranges.MostMembers} members at a time.");
        RuleForEach(x => x.Members).Given().SetValidator(new MemberValidator());
    }
}
