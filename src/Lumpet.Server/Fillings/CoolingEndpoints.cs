using Lumpet.Core;
using Lumpet.Core.Measures;
using Lumpet.Core.Safety;
using Lumpet.Server.Faults;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Lumpet.Server.Fillings;

/// <summary>Whether a pot or a pan of something cooked is cold in time.</summary>
internal static class CoolingEndpoints
{
    private static readonly Dictionary<string, (CoolingPlace Place, string Words)> Places = new()
    {
        ["fridge"] = (CoolingPlace.Fridge, "in the fridge"),
        ["blastChiller"] = (CoolingPlace.BlastChiller, "in a blast chiller"),
        ["iceBath"] = (CoolingPlace.IceBath, "in an ice bath, not stirred"),
        ["rack"] = (CoolingPlace.Rack, "on a rack in the room"),
    };

    // A probe shows halves of a degree; what falls by less is told by its error (common practice, no source).
    private const double LeastFallC = 0.5;

    /// <summary>Adds the endpoint.</summary>
    public static void Map(IEndpointRouteBuilder routes) =>
        routes.MapPost("/api/cooling", Ask).WithName("AskCooling").WithSummary("When something cooked is cold in its middle, whether that is in time, and what mends it. Stores nothing.");

    /// <summary>"Cold in time no deeper than 3.4 cm in the fridge (2 pans of 50 × 30 cm), 6.3 cm in a blast chiller (1 pan)."</summary>
    /// <param name="mass">How much is to be cooled.</param>
    public static string Deepest(Mass mass) =>
        $"Cold in time no deeper than {In("fridge", mass)}, {In("blastChiller", mass)}. {TimeAndTemperature.Rule} {ProductCautions.Decide}";

    private static string In(string name, Mass mass) => Places[name] is var (place, words) && Cooling.DeepestInTime(place) is { } deepest ? Say($"{Centimetres(deepest):0.0} cm {words} ({Pans(mass, deepest)})") : $"nothing {words}";

    private static Results<Ok<CoolingAnswer>, ValidationProblem> Ask(CoolingRequest request)
    {
        var faults = Faults(request);
        if (faults.Count > 0) return FieldProblems.Of(faults);
        var (usual, where) = Places[request.Place ?? "fridge"];
        var place = usual with { Celsius = request.PlaceC ?? usual.Celsius };
        var (from, mass) = (request.FromC ?? 90, Mass.FromKilograms(request.Kilograms ?? 1));
        var measured = request.Reading is { } reading ? Cooling.Measured(reading.FirstC ?? 0, reading.SecondC ?? 0, reading.Minutes ?? 0, place.Celsius) : null;
        if (request.Reading is not null && measured is null)
            return FieldProblems.Of(("reading.secondC", Say($"It gets colder towards the {place.Celsius:0.#} °C around it: a second reading lies between that and the first.")));
        var cooling = measured ?? Cooling.OfLayer(request.DepthCm!.Value / 100, place);
        var since = measured is null ? from : request.Reading!.FirstC!.Value;
        var deepest = Cooling.DeepestInTime(place);
        return TypedResults.Ok(new CoolingAnswer(
            cooling.IsInTime,
            Verdict(cooling, measured is null ? Say($"{request.DepthCm:0.#} cm deep {where} at {place.Celsius:0.#} °C") : "As measured"),
            Mend(cooling, place, where, deepest, mass),
            Whole(cooling.Minutes(since, Cooling.ClockFromC)),
            Whole(cooling.FirstMin),
            Whole(cooling.LastMin),
            deepest is { } metres ? Math.Floor(metres * 1000) / 10 : null,
            measured is null
                ? Say($"Newton's law with the middle of a layer of filling: it conducts 0.5 W/mK and gives away {place.WattsPerSquareMetre:0} W/m²K {where} (handbook values, from memory). {Cooling.KilogramsOfCubicMetre:0} kg/m³. A lid, a crowded fridge or a warm neighbour makes it slower: measure.")
                : Say($"Newton's law through both readings: what is still above {place.Celsius:0.#} °C falls to a third in {Math.Log(3) * cooling.TauMin:0} min.")));
    }

    private static string Verdict(Cooling cooling, string how) => (cooling.FirstMin, cooling.LastMin) switch
    {
        ({ } first, { } last) when cooling.IsInTime => $"{how} it is cold in time: from 57 to 21 °C in {Long(first)}, to 5 °C in {Long(last)}.",
        ({ }, null) => $"{how} it never gets to 5 °C.",
        ({ } first, _) when first > Cooling.FirstWithinMin => $"{how} it is not cold in time: from 57 to 21 °C it takes {Long(first)}, and 2 h is the most.",
        ({ }, { } last) => $"{how} it is not cold in time: from 57 to 5 °C it takes {Long(last)}, and 6 h is the most.",
        _ => $"{how} it never gets to 21 °C.",
    };

    private static string Mend(Cooling cooling, CoolingPlace place, string where, double? deepest, Mass mass)
    {
        if (cooling.IsInTime) return string.Empty;
        if (deepest is null) return "Nothing that stands there is: take the fridge, a blast chiller or an ice bath at 4 °C or below.";
        var chiller = Cooling.DeepestInTime(CoolingPlace.BlastChiller)!.Value;
        return Say($"{Centimetres(deepest.Value):0.0} cm {where} is: {Pans(mass, deepest.Value)} for {mass.Kilograms:0.##} kg.{(place.WattsPerSquareMetre < CoolingPlace.BlastChiller.WattsPerSquareMetre ? Say($" In a blast chiller {Centimetres(chiller):0.0} cm are: {Pans(mass, chiller)}.") : string.Empty)} Stirred in an ice bath first it is quicker than any of these.");
    }

    private static List<FieldFault> Faults(CoolingRequest request)
    {
        var faults = new List<FieldFault>();
        void Within(string field, double? value, double least, double most, string unit, bool isNeeded)
        {
            if (value is { } number ? number >= least && number <= most : !isNeeded) return;
            faults.Add(new FieldFault(field, Say($"{(value is null ? "This is missing" : "This does not fit")}: {least} to {most} {unit}.")));
        }

        Within("kilograms", request.Kilograms, 0.05, 1000, "kg", isNeeded: false);
        Within("depthCm", request.DepthCm, 0.2, 60, "cm", request.Reading is null);
        Within("fromC", request.FromC, 22, 180, "°C", isNeeded: false);
        // Colder than this it freezes from outside, which is another law.
        Within("placeC", request.PlaceC, -10, 40, "°C", isNeeded: false);
        if (request.Place is { } place && !Places.ContainsKey(place)) faults.Add(new FieldFault("place", $"This is one of {string.Join(", ", Places.Keys)}."));
        if (request.Reading is not { } reading) return faults;
        Within("reading.firstC", reading.FirstC, 6, 180, "°C", isNeeded: true);
        Within("reading.secondC", reading.SecondC, -40, 180, "°C", isNeeded: true);
        Within("reading.minutes", reading.Minutes, 1, 1440, "min", isNeeded: true);
        if (reading.FirstC - reading.SecondC is >= 0 and < LeastFallC) faults.Add(new FieldFault("reading.secondC", Say($"Less than {LeastFallC:0.#} °C colder tells nothing yet: wait longer for a second reading.")));
        return faults;
    }

    // Rounded down: a layer that is said to be in time is.
    private static double Centimetres(double metres) => Math.Floor(metres * 1000) / 10;

    private static string Pans(Mass mass, double depth) => CoolInTime.Pans(mass, depth) is var pans && pans == 1 ? "1 pan of 50 × 30 cm" : $"{pans} pans of 50 × 30 cm";

    private static int? Whole(double? minutes) => minutes is { } some ? (int)Math.Ceiling(some - 1e-9) : null;

    private static string Long(double minutes) => (int)Math.Ceiling(minutes - 1e-9) is var whole && whole < 60 ? $"{whole} min" : Say($"{whole / 60} h {whole % 60:00}");

    private static string Say(FormattableString text) => FormattableString.Invariant(text);
}

/// <summary>Something cooked that is to be cooled.</summary>
/// <param name="Kilograms">How much, for how many pans it takes; 1 where it is not said.</param>
/// <param name="DepthCm">How deep it stands in its pot or pan, cm; not needed with a reading.</param>
/// <param name="Place">"fridge", "blastChiller", "iceBath" or "rack"; the fridge where it is not said.</param>
/// <param name="PlaceC">How cold it is there, °C; what is usual where it is not said.</param>
/// <param name="FromC">How hot it is at first, °C; 90 where it is not said.</param>
/// <param name="Reading">What a probe showed twice; null where nothing was measured.</param>
public sealed record CoolingRequest(double? Kilograms, double? DepthCm, string? Place, double? PlaceC, double? FromC, CoolingReading? Reading);

/// <summary>Two readings of a probe in the middle.</summary>
/// <param name="FirstC">The first, °C.</param>
/// <param name="SecondC">The second, °C.</param>
/// <param name="Minutes">Minutes between them.</param>
public sealed record CoolingReading(double? FirstC, double? SecondC, double? Minutes);

/// <summary>Whether something is cold in time.</summary>
/// <param name="IsInTime">Whether it keeps to the rule.</param>
/// <param name="Words">That in a sentence.</param>
/// <param name="Mend">What would be in time; empty where it is.</param>
/// <param name="To57Min">Minutes from the beginning until the clock starts at 57 °C; null where it never gets there.</param>
/// <param name="To21Min">Minutes from then to 21 °C; null where it never gets there.</param>
/// <param name="To5Min">Minutes from 57 °C to 5 °C; null where it never gets there.</param>
/// <param name="DeepestCm">The deepest layer that is cold in time there; null where none is.</param>
/// <param name="Why">How it was reckoned.</param>
public sealed record CoolingAnswer(bool IsInTime, string Words, string Mend, int? To57Min, int? To21Min, int? To5Min, double? DeepestCm, string Why);
