using Abri.Core.Sealing;
using Abri.Server.Api;
using FluentValidation;

namespace Abri.Server.Sealing;

internal sealed class ProductValidator : AbstractValidator<Product>
{
    public ProductValidator()
    {
        RuleFor(x => x.Name).Name();
        RuleFor(x => x.Grips).Must(g => g.Count <= 20).WithMessage("At most 20 substrates are listed.");
        RuleForEach(x => x.Grips).Given();
        RuleFor(x => x.MovementPercent).Between(0, 100, "The movement", "%");
        RuleFor(x => x.SkinMinutes).Between(0.5, 10_000, "The skin time or pot life", "minutes");
        RuleFor(x => x.CureMmPerDay).Between(0.05, 50, "The depth cured in 24 hours", "mm");
        RuleFor(x => x.ServiceFromC).Between(-100, 100, "The coldest service", "C");
        RuleFor(x => x.ServiceToC).Between(-50, 400, "The hottest service", "C");
        RuleFor(x => x.LayFromC).Between(-40, 60, "The coldest at which it is laid", "C");
        RuleFor(x => x.LayToC).Between(-40, 100, "The hottest at which it is laid", "C");
        RuleFor(x => x.PackMl).Between(0, 50_000, "A pack", "ml");
        RuleFor(x => x.ShelfMonths).Between(0, 600, "The shelf life");
        RuleFor(x => x.OpenedHours).Between(0, 100_000, "How long it keeps once opened", "hours");
        RuleFor(x => x.Hazards).Must(h => h.Length <= 400).WithMessage("The cautions may have at most 400 characters.");
    }
}

internal sealed class JointValidator : AbstractValidator<Joint>
{
    public JointValidator()
    {
        RuleFor(x => x.Name).Must(n => n.Trim().Length is >= 1 and <= 120).WithMessage("A joint's name has 1 to 120 characters.");
        RuleFor(x => x.LengthMm).Between(1, 100_000, "The joint's length", "mm");
        RuleFor(x => x.GapMm).Between(0, 100, "The joint's width", "mm");
        RuleFor(x => x.MovementMm).Between(0, 100, "The movement", "mm");
        RuleFor(x => x.HotC).Between(0, 1000, "How hot the joint gets", "C");
        RuleFor(x => x.Notes).Notes();
        RuleFor(x => x.History).Must(h => h.Count <= 200).WithMessage("A joint's history has at most 200 entries.");
        RuleForEach(x => x.History).Given().ChildRules(e =>
        {
            e.RuleFor(x => x.Product).Must(p => p.Length <= 120).WithMessage("A product and its batch have at most 120 characters.");
            e.RuleFor(x => x.By).Must(b => b.Length <= 80).WithMessage("Who did it has at most 80 characters.");
            e.RuleFor(x => x.On).Must(d => d.Year is >= 1950 and <= 2150).WithMessage("The date must lie between 1950 and 2150.");
        });
    }
}
