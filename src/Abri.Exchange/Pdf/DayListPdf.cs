using System.Globalization;
using Abri.Core.Geometry;
using Abri.Core.Stages;
using Abri.Core.Work;
using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>Prints the list of a day: what to lay out the evening before, then its tasks in order with boxes to tick.</summary>
public static class DayListPdf
{
    private const double SizeMm = 3.6;

    /// <summary>The document.</summary>
    public static byte[] Write(DayList list, Paper paper)
    {
        string day = list.Date.ToString("dddd d MMMM yyyy", CultureInfo.InvariantCulture);
        using var bytes = new MemoryStream();
        using (var document = SKDocument.CreatePdf(bytes, new SKDocumentPdfMetadata { Title = $"{list.Vehicle}, {day}", Creator = "Abri" }))
        {
            (double width, double height) = paper.SizeMm();
            using (var flow = new Flow(document, width, height))
            {
                flow.Head(day, list.Vehicle);
                if (list.Weather is { } weather)
                    flow.Paragraph(weather, 0, SizeMm, false, null);
                Part(
                    flow,
                    "Lay out",
                    [
                        .. list.Tools,
                        .. list.Consumables.Select(c => Amount(c) + (list.NotThere.Contains(c.Material.Name) ? ": not on the shelf" : "")),
                    ]
                );
                foreach (DayTask task in list.Tasks)
                    Write(flow, task);
                Part(flow, "Mind", [.. list.Cautions.Select(c => c.Text)]);
            }
            document.Close();
        }
        return bytes.ToArray();
    }

    /// <summary>An amount that is used up, as it is laid out.</summary>
    public static string Amount(Consumable used) =>
        used.Material.Unit switch
        {
            Unit.Mm => string.Create(CultureInfo.InvariantCulture, $"{used.Material.Name}, {used.Amount / 1000:0.#} m"),
            Unit.Count => string.Create(CultureInfo.InvariantCulture, $"{used.Material.Name}, {Math.Ceiling(used.Amount):0}"),
            _ => string.Create(CultureInfo.InvariantCulture, $"{used.Material.Name}, {used.Amount:0} ml"),
        };

    private static void Part(Flow flow, string title, IReadOnlyList<string> lines)
    {
        if (lines.Count == 0)
            return;
        flow.Keep(24);
        flow.Y += 4;
        flow.Paragraph(title, 0, 4.4, true, null);
        foreach (string line in lines)
            Ticked(flow, line, 0, false);
    }

    private static void Write(Flow flow, DayTask task)
    {
        flow.Keep(30);
        flow.Y += 4;
        string who = task.People.Count > 0 ? $", {string.Join(" and ", task.People)}" : "";
        Ticked(flow, $"{task.From:HH:mm} to {task.Until:HH:mm}  {task.Title}{who}", 0, true);
        if (task.OpensShell)
            flow.Paragraph($"The shell stands open; safe from rain by {task.ReadyAt:ddd HH:mm}.", 7, SizeMm, true, Page.Rust);
        foreach (Core.Days.TimedStep cover in task.Covered)
            flow.Paragraph($"Covered {cover.From:ddd HH:mm} to {cover.To:ddd HH:mm}.", 7, SizeMm, true, Page.Rust);
        foreach (WorkStep step in task.Steps)
            Ticked(flow, step.Title, 7, false);
    }

    /// <summary>A line behind a box to tick.</summary>
    internal static void Ticked(Flow flow, string text, double inMm, bool strong)
    {
        flow.Keep(0);
        using (SKPaint pen = Page.Pen(Page.Ink, 0.3))
            flow.Page.Frame(pen, new PanelBox(Page.MarginMm + inMm, Page.MarginMm + inMm + 4, flow.Y - 3.4, flow.Y + 0.6));
        flow.Paragraph(text, inMm + 6, SizeMm, strong, null);
    }
}
