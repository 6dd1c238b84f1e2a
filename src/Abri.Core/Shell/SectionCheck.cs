namespace Abri.Core.Shell;

/// <summary>Says what is wrong with measured sections, or that nothing is.</summary>
public static class SectionCheck
{
    /// <summary>The first thing that is wrong, or null.</summary>
    /// <param name="sections">The sections.</param>
    /// <param name="pointer">JSON pointer to them, for the message.</param>
    public static Problem? Of(IReadOnlyList<SurfaceSection> sections, string pointer)
    {
        for (int i = 0; i < sections.Count; i++)
        {
            SurfaceSection section = sections[i];
            if (section.Readings.Count < 2)
                return new Problem(
                    "section-too-few-readings",
                    $"{pointer}/{i}/readings",
                    $"The section at {section.StationMm:0.#} mm has {section.Readings.Count} reading(s). Take at least 2."
                );
            for (int k = 0; k < i; k++)
            {
                if (Math.Abs(sections[k].StationMm - section.StationMm) < 1)
                    return new Problem(
                        "section-twice",
                        $"{pointer}/{i}/stationMm",
                        $"There are two sections at {section.StationMm:0.#} mm. Keep one, or put their readings together."
                    );
            }
            DepthReading[] ordered = [.. section.Readings.OrderBy(r => r.TMm)];
            for (int k = 1; k < ordered.Length; k++)
            {
                if (ordered[k].TMm - ordered[k - 1].TMm >= 0.1)
                    continue;
                return new Problem(
                    "section-reading-twice",
                    $"{pointer}/{i}/readings",
                    $"The section at {section.StationMm:0.#} mm has two readings at {ordered[k].TMm:0.#} mm: "
                        + $"{ordered[k - 1].DepthMm:0.#} and {ordered[k].DepthMm:0.#} mm deep. Keep the one that is right."
                );
            }
        }
        return null;
    }
}
