using Abri.Core.Geometry;
using Abri.Server.Api;
using FluentValidation;

namespace Abri.Server.Openings;

/// <summary>Openings of one panel that move together, in one change.</summary>
/// <param name="Moves">Which goes where.</param>
public sealed record OpeningMoves(IReadOnlyList<OpeningMove> Moves);

/// <summary>One of them.</summary>
/// <param name="Id">The opening.</param>
/// <param name="Version">The version that the move was made from.</param>
/// <param name="Centre">Where its centre goes.</param>
public sealed record OpeningMove(string Id, int Version, PanelPoint Centre);

internal sealed class OpeningMovesValidator : AbstractValidator<OpeningMoves>
{
    public OpeningMovesValidator()
    {
        RuleFor(x => x.Moves).Must(m => m.Count is >= 1 and <= 100).WithMessage("Move 1 to 100 openings at a time.");
        RuleForEach(x => x.Moves).Given().ChildRules(m => m.RuleFor(x => x.Centre).SetValidator(new PanelPointValidator()));
    }
}
