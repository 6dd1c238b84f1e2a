using Abri.Core.Geometry;
using Abri.Core.Work;
using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>Prints a procedure: what to have at hand, then step by step with boxes to tick, figures to measure and cautions.</summary>
public static class ProcedurePdf
{
    private const double SizeMm = 3.4;

    /// <summary>The document.</summary>
    public static byte[] Write(string vehicle, Procedure procedure, LengthFormat lengths, Paper paper, DateOnly printedOn)
    {
        using var bytes = new MemoryStream();
        using (
            var document = SKDocument.CreatePdf(bytes, new SKDocumentPdfMetadata { Title = $"{vehicle}: {procedure.Title}, steps", Creator = "Abri" })
        )
        {
            (double width, double height) = paper.SizeMm();
            var sheet = new Sheet(document, lengths, width, height);
            sheet.Head(vehicle, procedure, printedOn);
            foreach (WorkStep step in procedure.Steps)
                sheet.Write(step);
            sheet.Dispose();
            document.Close();
        }
        return bytes.ToArray();
    }

    private static string Span(Minutes m) => $"{Length(m.Quick)} to {Length(m.Slow)}, likely {Length(m.Likely)}";

    private static string Length(double minutes) => minutes < 90 ? $"{minutes:0} min" : $"{minutes / 60:0.#} h";

    private sealed class Sheet(SKDocument document, LengthFormat lengths, double width, double height) : IDisposable
    {
        private readonly Flow flow = new(document, width, height);

        public void Dispose() => flow.Dispose();

        public void Head(string vehicle, Procedure procedure, DateOnly printedOn)
        {
            flow.Head(procedure.Title, $"{vehicle}, {printedOn:yyyy-MM-dd}");
            Paragraph($"Work {Span(procedure.Work)}. The shell stands open {Span(procedure.OpenMinutes)}.", 0);
            Paragraph($"Tools: {string.Join(", ", procedure.Tools)}.", 0);
            IEnumerable<string> used = procedure.Consumables.Select(c =>
                $"{c.Material.Name} "
                + $"{Amount(Math.Round(c.Amount), c.Material.Unit)}{(c.Packs is { } n ? $" ({n} {(n == 1 ? "pack" : "packs")})" : "")}"
            );
            Paragraph($"Used up: {string.Join(", ", used)}.", 0);
        }

        public void Write(WorkStep step)
        {
            // A step is not torn apart at its title.
            flow.Keep(40);
            flow.Y += 3;
            using (SKPaint rule = Page.Pen(Page.Soft, 0.1))
                flow.Page.Line(rule, Page.MarginMm, flow.Y - 4.4, Page.MarginMm + flow.Wide, flow.Y - 4.4);
            Box();
            string flags = string.Join(
                " ",
                new[]
                {
                    step.Shell switch
                    {
                        ShellChange.Opens => "OPENS THE SHELL",
                        ShellChange.Closes => "CLOSES THE SHELL",
                        _ => "",
                    },
                    step.People > 1 ? $"{step.People} people" : "",
                    step.Weather.Dry ? "dry" : "",
                }.Where(f => f.Length > 0)
            );
            string span = $"{flags}  {Length(step.Minutes.Quick)} to {Length(step.Minutes.Slow)}".Trim();
            flow.Page.TextWithin($"{step.Number}  {step.Title}", Page.MarginMm + 7, flow.Y, flow.Wide - 11 - Page.WidthOf(span, 3, false), 4, true);
            flow.Page.Text(
                span,
                Page.MarginMm + flow.Wide,
                flow.Y,
                3,
                colour: step.Shell == ShellChange.Opens ? Page.Rust : Page.Soft,
                align: SKTextAlign.Right
            );
            flow.Y += 5.4;
            Paragraph(step.Do, 7);
            foreach (HoldPoint hold in step.Holds)
            {
                string wanted = hold switch
                {
                    { Wanted: { } w, Less: > 0 and var less, More: { } more } when less == more =>
                        $": {Amount(w, hold.Unit!.Value)} within {Amount(less, hold.Unit!.Value)}, measured ________",
                    { Wanted: { } w, Less: { } less, More: { } more } when less > 0 || more > 0 =>
                        $": {Amount(w - less, hold.Unit!.Value)} to {Amount(w + more, hold.Unit!.Value)}, measured ________",
                    { Wanted: { } w } => $": {Amount(w, hold.Unit!.Value)}, measured ________",
                    _ => "",
                };
                Box(7);
                Paragraph($"{hold.Name}{wanted}", 13, true);
            }
            foreach (Caution caution in step.Cautions)
                Paragraph($"! {caution.Text}", 7, colour: Page.Rust);
            if (step.WaitHours > 0)
                Paragraph($"Wait {step.WaitHours:0.#} h before the next step.", 7, true);
        }

        private string Amount(double value, Unit unit) =>
            unit switch
            {
                Unit.Mm => lengths.Text(value),
                Unit.Count => $"{value:0}",
                Unit.Percent => $"{value:0.#} %",
                _ => $"{value:0.#} ml",
            };

        private void Box(double inMm = 0)
        {
            flow.Keep(0);
            using SKPaint pen = Page.Pen(Page.Ink, 0.3);
            flow.Page.Frame(pen, new PanelBox(Page.MarginMm + inMm, Page.MarginMm + inMm + 4, flow.Y - 3.4, flow.Y + 0.6));
        }

        private void Paragraph(string text, double inMm, bool strong = false, SKColor? colour = null) =>
            flow.Paragraph(text, inMm, SizeMm, strong, colour);
    }
}
