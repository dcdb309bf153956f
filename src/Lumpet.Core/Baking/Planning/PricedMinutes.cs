namespace Lumpet.Core.Baking.Planning;

/// <summary>
/// What a minute of an oven under each setting costs each bake that could share it. Whatever these prices are, as long as none
/// is negative and those of one minute under one setting come to no more than it costs and its premium, they prove a bound.
/// </summary>
internal sealed class PricedMinutes
{
    private readonly PricedBake[] bakes;
    private readonly double perOnMin;
    private readonly int settings;
    private readonly int minutes;
    private readonly int[] ovensOpen;
    private readonly int[] placesOpen;

    // For an oven's places, all of them, whoever fills them: by sort of place, setting and minute.
    private readonly double[,][] filled;
    // What more is paid where more ovens would be on than there are, and for a place where more would be filled: by minute.
    private readonly double[] premium;
    private readonly double[] crowd;

    // What trays ask for at these prices, on average of their ways so far.
    private readonly double[,][] fills;
    private readonly double[] crowds;
    private readonly double[] ovensOn;

    /// <summary>No prices yet.</summary>
    /// <param name="bakes">The bakes, each with prices of its own.</param>
    /// <param name="settings">How many settings there are.</param>
    /// <param name="perOnMin">What a minute of a hot oven costs.</param>
    /// <param name="ovensOpen">How many ovens may be on, by minute.</param>
    /// <param name="placesOpen">How many trays they hold together, by minute.</param>
    public PricedMinutes(PricedBake[] bakes, int settings, double perOnMin, int[] ovensOpen, int[] placesOpen)
    {
        (this.bakes, this.settings, this.perOnMin, this.ovensOpen, this.placesOpen) = (bakes, settings, perOnMin, ovensOpen, placesOpen);
        minutes = ovensOpen.Length;
        (filled, fills) = (Lines(), Lines());
        (premium, crowd, crowds, ovensOn) = (new double[minutes], new double[minutes], new double[minutes], new double[minutes]);

        double[,][] Lines()
        {
            var lines = new double[PricedBake.PlaceKinds, settings][];
            for (var kind = 0; kind < PricedBake.PlaceKinds; kind++)
                for (var setting = 0; setting < settings; setting++) lines[kind, setting] = new double[minutes];
            return lines;
        }
    }

    /// <summary>What all trays cost at least at these prices; each notes where it would go.</summary>
    public double Bound()
    {
        var bound = bakes.Sum(bake => bake.Cheapest(filled, crowd));
        for (var minute = 0; minute < minutes; minute++) bound -= (ovensOpen[minute] * premium[minute]) + (placesOpen[minute] * crowd[minute]);
        return bound;
    }

    /// <summary>Raises prices where trays would go, and lowers those of others there.</summary>
    /// <param name="missing">How far the bound is from the cost of the best plan known.</param>
    /// <param name="boldness">Of that distance so much is meant to be made up at once.</param>
    /// <param name="weight">What the trays' newest ways count for beside where they went before; 1 the first time.</param>
    public void Move(double missing, double boldness, double weight)
    {
        foreach (var line in fills) Array.Clear(line);
        Array.Clear(crowds);
        foreach (var bake in bakes) bake.Average(weight, fills, crowds);
        CountOvens();
        if (Norm() is not (> 0 and var norm)) return;
        var step = boldness * missing / norm;
        for (var minute = 0; minute < minutes; minute++)
        {
            premium[minute] = Math.Max(0, premium[minute] + (step * (ovensOn[minute] - ovensOpen[minute])));
            crowd[minute] = Math.Max(0, crowd[minute] + (step * (crowds[minute] - placesOpen[minute])));
        }

        for (var setting = 0; setting < settings; setting++) Share(setting, step);
    }

    /// <summary>How many ovens would have to be on, under all settings together.</summary>
    private void CountOvens()
    {
        Array.Clear(ovensOn);
        var most = new double[minutes];
        for (var setting = 0; setting < settings; setting++)
        {
            Array.Clear(most);
            foreach (var line in Asked(setting))
                for (var minute = 0; minute < minutes; minute++) most[minute] = Math.Max(most[minute], line[minute]);
            for (var minute = 0; minute < minutes; minute++) ovensOn[minute] += most[minute];
        }
    }

    /// <summary>What is asked for under a setting: by each bake, and by all that take one sort of place.</summary>
    private IEnumerable<double[]> Asked(int setting) =>
        bakes.Select(bake => bake.NeedsUnder(setting)).OfType<double[]>().Concat(Enumerable.Range(0, PricedBake.PlaceKinds).Select(kind => fills[kind, setting]));

    /// <summary>What is paid under a setting, in the same order.</summary>
    private IEnumerable<double[]> Paid(int setting) =>
        bakes.Select(bake => bake.PricesUnder(setting)).OfType<double[]>().Concat(Enumerable.Range(0, PricedBake.PlaceKinds).Select(kind => filled[kind, setting]));

    /// <summary>Length of the step's direction, squared.</summary>
    private double Norm()
    {
        var norm = 0.0;
        for (var setting = 0; setting < settings; setting++)
            foreach (var line in Asked(setting))
                foreach (var asked in line) norm += asked * asked;
        for (var minute = 0; minute < minutes; minute++) norm += Over(ovensOn[minute] - ovensOpen[minute], premium[minute]) + Over(crowds[minute] - placesOpen[minute], crowd[minute]);
        return norm;

        // What costs nothing and is not asked for too much stays as it is.
        static double Over(double asked, double price) => asked > 0 || price > 0 ? asked * asked : 0;
    }

    /// <summary>Moves the prices under one setting, and cuts them back where they come to more than a minute costs.</summary>
    private void Share(int setting, double step)
    {
        double[][] asked = [.. Asked(setting)];
        double[][] paid = [.. Paid(setting)];
        var column = new double[paid.Length];
        for (var minute = 0; minute < minutes; minute++)
        {
            var sum = 0.0;
            for (var at = 0; at < column.Length; at++) sum += column[at] = paid[at][minute] + (step * asked[at][minute]);
            var most = perOnMin + premium[minute];
            if (sum > most) CutTo(column, most);
            for (var at = 0; at < column.Length; at++) paid[at][minute] = column[at];
        }
    }

    /// <summary>The nearest prices that come to no more than so much and are not negative (Michelot 1986, from memory).</summary>
    private static void CutTo(double[] prices, double most)
    {
        while (true)
        {
            var (sum, positive) = (0.0, 0);
            foreach (var price in prices)
                if (price > 0) (sum, positive) = (sum + price, positive + 1);
            if (positive == 0 || sum <= most * (1 + Hair)) return;
            var less = (sum - most) / positive;
            for (var at = 0; at < prices.Length; at++) prices[at] = prices[at] > 0 ? Math.Max(0, prices[at] - less) : 0;
        }
    }

    private const double Hair = 1e-12;
}
