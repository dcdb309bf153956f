namespace Lumpet.Core.Baking.Planning;

/// <summary>How late the pies of a problem must be at least, because ovens hold no more trays than they have places.</summary>
/// <remarks>
/// A relaxation: every tray's shelf-minutes are cut into pieces that may lie anywhere from its release on, in any oven, at any
/// heat; in each stretch of time no more pieces than there are places. A tray that is out at C has its piece number i of p out
/// at C - (p - i) at the latest, since its minutes follow one another: so each piece has a due of its own, d - (p - i), and a p-th
/// of the tray's pies, and what the pieces are late together is no more than what the tray is late. The cheapest way to lay the
/// pieces out is a transport problem, solved by shortest augmenting paths (Edmonds and Karp 1972, from memory).
/// </remarks>
internal static class TardyBound
{
    // So many stretches of time at most, and pieces as long as those: enough to be near, few enough to be quick.
    private const int Stretches = 120;
    private const int ShortestStretch = 3;
    private const int MostNodes = 420;

    /// <summary>Pie-minutes late that no plan which places all pies can undercut.</summary>
    /// <param name="problem">The problem; nothing of it has begun.</param>
    /// <param name="chains">Its chains.</param>
    /// <param name="lastOut">The minute by which some plan has all trays out.</param>
    public static long Of(BakeProblem problem, BakeChains chains, int lastOut)
    {
        for (var stretch = Math.Max(ShortestStretch, (lastOut + Stretches) / Stretches); ; stretch += (stretch + 1) / 2)
        {
            var pieces = Pieces(problem, chains, stretch);
            // The last stretch stands for all that lies further out, and takes whatever there is.
            double[] places = [.. Enumerable.Range(0, (lastOut / stretch) + 1).Select(at => (double)Places(problem, at * stretch, (at + 1) * stretch)), pieces.Sum(piece => piece.Minutes)];
            if (pieces.Count + places.Length <= MostNodes) return (long)Math.Floor(Transport.LeastCost([.. pieces.Select(piece => piece.Minutes)], places, (piece, at) => Cost(pieces[piece], at * stretch, stretch, (places.Length - 1) * stretch)) + 1e-6);
        }
    }

    /// <summary>Minutes of trays that are alike, and when they should be over.</summary>
    private sealed record Piece(double Minutes, double PiesPerMinute, int Release, int Due);

    private static List<Piece> Pieces(BakeProblem problem, BakeChains chains, int length)
    {
        var pieces = new List<Piece>();
        foreach (var bake in problem.Bakes.Where(bake => !chains.InCycle(bake)))
        {
            var minutes = bake.Stages.Sum(stage => stage.MinMin);
            foreach (var alike in bake.Trays.Where(pies => pies > 0).GroupBy(pies => pies))
                for (var from = 0; from < minutes; from += length)
                {
                    var to = Math.Min(minutes, from + length);
                    // Of the minutes in it the last has the latest due.
                    pieces.Add(new Piece((to - from) * alike.Count(), alike.Key / (double)minutes, Math.Max(0, chains.Release(bake)) + from, bake.DueMin - (minutes - to)));
                }
        }

        return pieces;
    }

    /// <summary>Tray-minutes that ovens hold in a stretch of time, from when they can first be hot.</summary>
    private static long Places(BakeProblem problem, int from, int to)
    {
        var coldest = problem.Bakes.SelectMany(bake => bake.Stages).Select(stage => stage.TempC).DefaultIfEmpty(0).Min();
        long places = 0;
        foreach (var oven in problem.Ovens)
        {
            var hot = Math.Max(0, oven.OpenMin) + Math.Max(0, (coldest - oven.StartC + oven.HeatCPerMin - 1) / oven.HeatCPerMin);
            places += oven.Openings.Sum(opening => (long)Math.Max(0, Math.Min(to, opening.ToMin) - Math.Max(Math.Max(from, hot), opening.FromMin))) * (oven.Shelves + (oven.FloorPlaces ?? 0));
        }

        return places;
    }

    /// <summary>What a minute of a piece costs in a stretch of time: as if all of it were at its beginning; below 0 where it may not lie there.</summary>
    private static double Cost(Piece piece, int from, int length, int last) =>
        // The first minute that can lie in it ends one later.
        from + length <= piece.Release && from < last ? -1 : piece.PiesPerMinute * Math.Max(0, Math.Max(from, piece.Release) + 1 - piece.Due);
}
