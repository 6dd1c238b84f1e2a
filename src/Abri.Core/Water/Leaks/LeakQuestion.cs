using Abri.Core.Declared;

namespace Abri.Core.Water.Leaks;

/// <summary>A suspect, as the reckoning sees it.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Prior">Probability that it leaks before any evidence, 0 to 1.</param>
/// <param name="Reaches">Probability, per spot, that water which it lets in shows there, 0 to 1.</param>
public sealed record LeakSuspect(
    [Name(200, "A suspect has a name of 1 to 200 characters.")] string Name,
    double Prior,
    IReadOnlyList<double> Reaches
);

/// <summary>A result at a spot.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Spot">Number of the spot, from 0.</param>
/// <param name="Wet">Whether water was seen.</param>
/// <param name="Shows">Probability, per suspect, that this rain or test would have shown water of a suspect that leaks and reaches the spot, 0 to 1:
/// how much water hit it, how long one waited. Null for certainty.</param>
/// <param name="Tested">Whether somebody put the water there on purpose: a water test; a mark, rain and a meter are not.</param>
public sealed record LeakEvidence(
    [Name(200, "A result has a name of 1 to 200 characters.")] string Name,
    int Spot,
    bool Wet,
    IReadOnlyList<double>? Shows = null,
    bool Tested = false
);

/// <summary>Which of the suspects lets the water in?</summary>
/// <param name="Spots">The places that were looked at.</param>
/// <param name="Suspects">The suspects.</param>
/// <param name="Evidence">The results.</param>
/// <param name="FalseAlarm">Probability that a place is found wet though no leak wetted it: dew, a spill, a mistake.</param>
public sealed record LeakQuestion(
    [EachName(200, "A spot has a name of 1 to 200 characters.")] IReadOnlyList<string> Spots,
    IReadOnlyList<LeakSuspect> Suspects,
    IReadOnlyList<LeakEvidence> Evidence,
    double FalseAlarm = LeakQuestion.UsualFalseAlarm
)
{
    /// <summary>How often a place is found wet without a leak: assumption.</summary>
    public const double UsualFalseAlarm = 0.01;

    /// <summary>Most suspects.</summary>
    public const int MostSuspects = 400;

    /// <summary>Most results.</summary>
    public const int MostEvidence = 300;

    /// <summary>Most wet results: the exact reckoning doubles with each.</summary>
    public const int MostWet = 10;

    /// <summary>What cannot be reckoned with, or null.</summary>
    internal Problem? Check()
    {
        if (Suspects.Count is 0 or > MostSuspects)
            return new Problem("leak-suspects", "/suspects", $"Give 1 to {MostSuspects} suspects.");
        if (Spots.Count is 0 or > MostEvidence)
            return new Problem("leak-spots", "/spots", $"Give 1 to {MostEvidence} spots.");
        if (Evidence.Count > MostEvidence)
            return new Problem("leak-evidence", "/evidence", $"At most {MostEvidence} results are weighed at once.");
        if (!IsProbability(FalseAlarm))
            return new Problem("leak-probability", "/falseAlarm", $"A probability lies between 0 and 1; {FalseAlarm:0.###} was given.");
        for (int i = 0; i < Suspects.Count; i++)
        {
            LeakSuspect s = Suspects[i];
            if (!IsProbability(s.Prior))
                return new Problem(
                    "leak-probability",
                    $"/suspects/{i}/prior",
                    $"{s.Name}: a probability lies between 0 and 1; {s.Prior:0.###} was given."
                );
            if (s.Reaches.Count != Spots.Count)
                return new Problem(
                    "leak-reaches",
                    $"/suspects/{i}/reaches",
                    $"{s.Name}: give one reach for each of the {Spots.Count} spots; {s.Reaches.Count} were given."
                );
            if (!s.Reaches.All(IsProbability))
                return new Problem("leak-probability", $"/suspects/{i}/reaches", $"{s.Name}: a probability lies between 0 and 1.");
        }
        for (int i = 0; i < Evidence.Count; i++)
        {
            LeakEvidence e = Evidence[i];
            if (e.Spot < 0 || e.Spot >= Spots.Count)
                return new Problem(
                    "leak-spot-unknown",
                    $"/evidence/{i}/spot",
                    $"{e.Name}: there is no spot {e.Spot}; they count from 0 to {Spots.Count - 1}."
                );
            if (e.Shows is not { } shows)
                continue;
            if (shows.Count != Suspects.Count)
                return new Problem(
                    "leak-reaches",
                    $"/evidence/{i}/shows",
                    $"{e.Name}: give one figure for each of the {Suspects.Count} suspects; {shows.Count} were given."
                );
            if (!shows.All(IsProbability))
                return new Problem("leak-probability", $"/evidence/{i}/shows", $"{e.Name}: a probability lies between 0 and 1.");
        }
        return Evidence.Count(e => e.Wet) > MostWet
            ? new Problem(
                "leak-wet-too-many",
                "/evidence",
                $"At most {MostWet} wet results are weighed at once, since each one doubles the work of the computation. Leave out repeats of "
                    + "the same mark, or ask about one mark at a time."
            )
            : null;
    }

    private static bool IsProbability(double p) => p is >= 0 and <= 1;
}
