namespace Lumpet.Core.Baking.Planning;

/// <summary>The transport problem: so much of each kind is laid into places of limited room, as cheaply as can be.</summary>
internal static class Transport
{
    private const double Nothing = 1e-9;

    /// <summary>The least cost of laying out all that fits; what fits nowhere costs nothing.</summary>
    /// <param name="amounts">How much there is of each kind.</param>
    /// <param name="rooms">How much each place takes.</param>
    /// <param name="cost">What a unit of a kind costs in a place; below 0 where it may not lie there.</param>
    public static double LeastCost(double[] amounts, double[] rooms, Func<int, int, double> cost)
    {
        var (kinds, places) = (amounts.Length, rooms.Length);
        double[] left = [.. amounts];
        double[] room = [.. rooms];
        var costs = new double[kinds, places];
        for (var kind = 0; kind < kinds; kind++)
            for (var place = 0; place < places; place++) costs[kind, place] = cost(kind, place);
        var laid = new double[kinds, places];
        var total = 0.0;
        var prices = new double[kinds + places];
        while (Path(costs, laid, left, room, prices) is { } path)
        {
            // Kinds and places take turns along it; what is laid is moved from each kind to the place that follows.
            var most = Math.Min(left[path[0]], room[path[^1] - kinds]);
            for (var at = 1; at + 1 < path.Count; at += 2) most = Math.Min(most, laid[path[at + 1], path[at] - kinds]);
            for (var at = 0; at + 1 < path.Count; at += 2)
            {
                laid[path[at], path[at + 1] - kinds] += most;
                total += most * costs[path[at], path[at + 1] - kinds];
                if (at + 2 >= path.Count) continue;
                laid[path[at + 2], path[at + 1] - kinds] -= most;
                total -= most * costs[path[at + 2], path[at + 1] - kinds];
            }

            left[path[0]] -= most;
            room[path[^1] - kinds] -= most;
        }

        return total;
    }

    /// <summary>The cheapest way from something that is left to a place with room, by Dijkstra over prices that keep all costs at 0 or above; null where there is none.</summary>
    private static List<int>? Path(double[,] costs, double[,] laid, double[] left, double[] room, double[] prices)
    {
        var (kinds, places) = (left.Length, room.Length);
        var far = new double[kinds + places];
        var from = new int[kinds + places];
        var isDone = new bool[kinds + places];
        Array.Fill(far, double.PositiveInfinity);
        Array.Fill(from, -1);
        for (var kind = 0; kind < kinds; kind++)
            if (left[kind] > Nothing) far[kind] = 0;
        var end = -1;
        while (true)
        {
            var node = -1;
            for (var other = 0; other < far.Length; other++)
                if (!isDone[other] && (node < 0 || far[other] < far[node])) node = other;
            if (node < 0 || double.IsPositiveInfinity(far[node])) break;
            isDone[node] = true;
            if (node >= kinds && room[node - kinds] > Nothing)
            {
                end = node;
                break;
            }

            for (var other = node < kinds ? kinds : 0; other < (node < kinds ? kinds + places : kinds); other++)
            {
                var (kind, place) = node < kinds ? (node, other - kinds) : (other, node - kinds);
                if (costs[kind, place] < 0 || (node >= kinds && laid[kind, place] <= Nothing)) continue;
                var step = (node < kinds ? costs[kind, place] : -costs[kind, place]) + prices[node] - prices[other];
                if (far[node] + Math.Max(0, step) >= far[other] - Nothing) continue;
                (far[other], from[other]) = (far[node] + Math.Max(0, step), node);
            }
        }

        if (end < 0) return null;
        for (var node = 0; node < far.Length; node++) prices[node] += Math.Min(far[node], far[end]);
        var path = new List<int>();
        for (var node = end; node >= 0; node = from[node]) path.Insert(0, node);
        return path;
    }
}
