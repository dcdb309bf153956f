using System.Text;

namespace Lumpet.Server.Tests.Faults;

/// <summary>A row of docs/bad-input.md: what is sent, what is said, and that nothing changes.</summary>
/// <param name="Where">The part of the program that gets it.</param>
/// <param name="What">What is sent, in words.</param>
/// <param name="Method">How.</param>
/// <param name="Path">Where to.</param>
/// <param name="Body">The body: an object, or raw text.</param>
/// <param name="Status">The answer's status.</param>
/// <param name="Said">Words of the answer: a field with its message, or the title.</param>
/// <param name="Headers">Headers beyond the usual ones.</param>
public sealed record BadInput(
    string Where, string What, string Method, string Path, object? Body, int Status, string Said, params (string Name, string Value)[] Headers)
{
    private const string Day = TestServer.Fair;
    private static readonly (string, string) FirstVersion = ("If-Match", "\"1\"");

    /// <summary>All rows.</summary>
    public static IReadOnlyList<BadInput> All { get; } = [.. Orders(), .. Standing(), .. Lines(), .. Questions(), .. Files(), .. House(), .. Libraries(), .. Recipes(), .. Ingredients(), .. Shelves(), .. Transport()];

    private static object Order(object? product = null, object? pan = null, object? count = null, object? pickUp = null, object? whom = null) =>
        new { product = product ?? "pear", pan = pan ?? "23", count = count ?? 4, pickUp = pickUp ?? $"{Day}T09:00", @for = whom ?? "test" };

    private static IEnumerable<BadInput> Orders()
    {
        BadInput Row(string what, object? body, string said) => new("Order", what, "POST", "/api/orders", body, 400, said);
        yield return Row("no pies at all", Order(count: 0), "count: A line takes 1 to 2000 pies.");
        yield return Row("fewer than none", Order(count: -5), "count: A line takes 1 to 2000 pies.");
        yield return Row("a billion pies", Order(count: 1_000_000_000), "count: A line takes 1 to 2000 pies.");
        yield return Row("more than a number holds", Order(count: 1e30), "count: This is not a value of the kind that is needed here.");
        yield return Row("half a pie", Order(count: 2.5), "count: This is not a value of the kind that is needed here.");
        yield return Row("a word for a number", Order(count: "four"), "count: This is not a value of the kind that is needed here.");
        yield return Row("a list for a word", Order(product: new[] { "pear" }), "product: This is not a value of the kind that is needed here.");
        yield return Row("a product that is not made", Order(product: "mango"), "product: There is no product \"mango\".");
        yield return Row("a product's name of 100 000 letters", Order(product: new string('x', 100_000)), "product: There is no product \"xxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxx…\".");
        yield return Row("a pan that the product is not made in", Order(pan: "30"), "pan: Pear and ginger is not made in \"30\"");
        yield return Row("a pick-up that has passed", Order(pickUp: "2026-11-25T08:59"), "pickUp: The pick-up at Wed 25 Nov 08:59 has passed.");
        yield return Row("a pick-up in a hundred years", Order(pickUp: "2126-11-25T09:00"), "pickUp: A pick-up lies at most 366 days ahead.");
        yield return Row("a 31st of February", Order(pickUp: "2027-02-31T09:00"), "pickUp: A pick-up needs a date and a time");
        yield return Row("a pick-up in the hour that the clock skips in spring", Order(pickUp: "2027-03-28T01:30"), "pickUp: The clock skips 01:30 on Sun 28 Mar");
        yield return Row("a name with a line break", Order(whom: "a\nb"), "for: A name takes up to 80 characters on one line.");
        yield return Row("a name without end", Order(whom: new string('x', 81)), "for: A name takes up to 80 characters on one line.");
        yield return Row("a name with a bell and a null in it", Order(whom: "a\u0007\0b"), "for: A name takes up to 80 characters on one line.");
        yield return Row("a name of characters that cannot be seen", Order(whom: "\u200b\u2060"), "for: A name takes only characters that can be seen.");
        yield return Row("a name that turns what follows it round", Order(whom: "kiosk \u202e4 pies"), "for: A name takes only characters that can be seen.");
        yield return Row("nothing at all", new { }, "count: A line takes 1 to 2000 pies.");
    }

    private static IEnumerable<BadInput> Standing()
    {
        object Draft(object? count = null, object? days = null, object? at = null, object? from = null, object? until = null) =>
            new { product = "pear", pan = "23", count = count ?? 4, days = days ?? new[] { "monday" }, at = at ?? "09:00", @for = "x", from, until };
        BadInput Row(string what, object body, string said) => new("Order that repeats", what, "POST", "/api/standing-orders", body, 400, said);
        yield return Row("no pies at all", Draft(count: 0), "count: A line takes 1 to 2000 pies.");
        yield return Row("no day of the week", Draft(days: Array.Empty<string>()), "days: One or more of monday,");
        yield return Row("an eighth day of the week", Draft(days: new[] { "monday", "someday" }), "days: One or more of monday,");
        yield return Row("days that are null", Draft(days: new string?[] { null }), "days: One or more of monday,");
        yield return Row("a time that no clock shows", Draft(at: "24:00"), "at: A clock time is written 09:00.");
        yield return Row("an end before it begins", Draft(from: "2026-12-07", until: "2026-12-06"), "until: It would end before it begins on Mon 7 Dec.");
        yield return Row("an end before its first day", Draft(from: "2026-12-01", until: "2026-12-06"), "until: There is none of its days until then.");
        yield return Row("a beginning in two years", Draft(from: "2028-11-26"), "from: A first pick-up lies at most 366 days ahead.");
        yield return Row("a 31st of February", Draft(until: "2027-02-31"), "until: A date is written 2026-12-24.");
        yield return Row("nothing at all", new { }, "days: One or more of monday,");
        yield return new BadInput("Order that repeats", "one that nobody has", "PUT", $"/api/standing-orders/{Guid.Empty}", Draft(), 404, "This order is not there any more", FirstVersion);
        yield return new BadInput("Order that repeats", "a change without the version it changes", "PUT", $"/api/standing-orders/{Guid.Empty}", Draft(), 428, "The version the order was read with is needed in If-Match.");
        yield return new BadInput("Order that repeats", "a day on which it does not come", "DELETE", $"/api/standing-orders/{Guid.Empty}/days/{Day}", null, 404, "This order does not come on this day");
        yield return new BadInput("Margin", "more than half of what is ordered", "PUT", "/api/margins/pear", new { percent = 51, before = 0 }, 400, "percent: A margin is 0 to 50 %");
        yield return new BadInput("Margin", "half a percent", "PUT", "/api/margins/pear", new { percent = 0.5, before = 0 }, 400, "percent: This is not a value of the kind that is needed here.");
        yield return new BadInput("Margin", "of a product that is not made", "PUT", "/api/margins/mango", new { percent = 5, before = 0 }, 404, "There is no such product.");
        yield return new BadInput("Cooling", "a layer of a metre", "POST", "/api/cooling", new { depthCm = 100 }, 400, "depthCm: This does not fit: 0.2 to 60 cm.");
        yield return new BadInput("Cooling", "a second reading that is warmer", "POST", "/api/cooling", new { reading = new { firstC = 40, secondC = 50, minutes = 10 } }, 400, "reading.secondC: It gets colder towards the 3 °C around it");
        object Made(object? kilograms = null, string made = "dough:flaky", string place = "cold", string madeAt = "2026-11-25T08:00") => new { made, kilograms = kilograms ?? 2, place, madeAt };
        BadInput There(string what, object body, string said) => new("What is made already", what, "POST", "/api/made-already", body, 400, said);
        yield return There("a gram less than none", Made(-0.001), "kilograms: This does not fit: 0.01 to 2000 kg.");
        yield return There("two thousand tonnes", Made(2e6), "kilograms: This does not fit: 0.01 to 2000 kg.");
        yield return There("flour, which is bought", Made(made: "plain-flour"), "made: Say what it is");
        yield return There("dough on the shelf", Made(place: "room"), "place: Flaky 3-2-1 does not keep at room temperature");
        yield return There("something of tomorrow", Made(madeAt: "2026-11-26T08:00"), "madeAt: Thu 26 Nov 08:00 has not come yet.");
        yield return There("pies brought as far as nowhere", new { product = "pear", pan = "23", pies = 3, after = "nowhere", place = "cold", madeAt = "2026-11-25T08:00" }, "after: Say what is done on them already");
        yield return There("nothing at all", new { }, "madeAt: A date and a clock time are needed");
        yield return new BadInput("What is made already", "something that is gone", "PUT", $"/api/made-already/{Guid.Empty}", Made(), 404, "This is noted no more", FirstVersion);
        yield return new BadInput("Dough", "flour that burns", "GET", $"/api/dough/{Day}?dryC=400", null, 400, "dryC: This does not fit: -25 to 45 °C.");
        yield return new BadInput("Dough", "a word for a temperature", "GET", $"/api/dough/{Day}?waterC=cold", null, 400, "waterC: This is not a value of the kind that is needed here.");
        yield return new BadInput("Order", "one that may be late for days", "POST", "/api/orders", new { product = "pear", pan = "23", count = 4, pickUp = $"{Day}T09:00", @for = "x", mayBeLateMin = 9999 }, 400, "mayBeLateMin: An order may be 0 to 720 min late.");
        yield return new BadInput("Orders of a day", "copying a day to itself", "POST", $"/api/orders/{Day}/copy", new { from = Day, keep = true }, 400, "from: Another day is needed");
        yield return new BadInput("Orders of a day", "copying a day without orders", "POST", $"/api/orders/{Day}/copy", new { from = "2026-01-01", keep = true }, 400, "from: Nothing is ordered for Thursday 1 January.");
        yield return new BadInput("Orders of a day", "copying to a day that has passed", "POST", "/api/orders/2026-11-24/copy", new { from = Day, keep = true }, 400, "from: The pick-up at Tue 24 Nov 07:30 has passed.");
    }

    private static IEnumerable<BadInput> Shelves()
    {
        object Flour(object? ingredient = null, object? pack = null, object? packs = null, object? useBy = null, object? place = null) =>
            new { ingredient = ingredient ?? "flour", pack = pack ?? "25 kg", packs = packs ?? 1, useBy, place = place ?? "room" };
        BadInput Row(string what, object body, string said) => new("Shelf", what, "POST", "/api/stock-lots", body, 400, said);
        yield return Row("no packs", Flour(packs: 0), "packs: This does not fit: 1 to 10000 packs.");
        yield return Row("a billion sacks", Flour(packs: 1_000_000_000), "packs: This does not fit: 1 to 10000 packs.");
        yield return Row("more than any bakery stores", Flour(packs: 5000), "packs: That is more than any bakery stores.");
        yield return Row("a pack of nothing", Flour(pack: "a big bag"), "pack: \"a big bag\" is no pack");
        yield return Row("gravel", Flour("gravel"), "ingredient: There is no such ingredient.");
        yield return Row("a dough, which is made", Flour("dough:flaky"), "ingredient: There is no such ingredient.");
        yield return Row("good until the 31st of February", Flour(useBy: "2027-02-31"), "useBy: A day is needed: 2026-12-24.");
        yield return Row("in the attic", Flour(place: "attic"), "place: This is one of room, cold, frozen.");
        yield return new BadInput("Shelf", "something done to a lot that is not there", "POST", $"/api/stock-lots/{Guid.Empty}/changes", new { kind = "used", kilograms = 1 }, 404, "There is no such lot.");
        yield return new BadInput("Shelf", "a lot that is not there, described", "PUT", $"/api/stock-lots/{Guid.Empty}", new { code = "1" }, 404, "There is no such lot.", FirstVersion);
        yield return new BadInput("Shelf", "a day that is none", "GET", "/api/shelves/soon", null, 400, "day: A day is written 2026-05-02.");
        yield return new BadInput("Shelf", "gravel, not counted", "PUT", "/api/counted-goods/gravel", new { isCounted = false }, 400, "ingredient: There is no such ingredient.");
        yield return new BadInput("Batch", "one that the plan does not make", "POST", $"/api/batches/{Day}/made", new { batch = "dough:mud/1", amount = 1 }, 400, "batch: The plan has no such batch any more.");
        yield return new BadInput("Batch", "another amount than the plan makes", "POST", $"/api/batches/{Day}/made", new { batch = "dough:rich/1", amount = 1 }, 400, "amount: The plan makes another amount of it now.");
        yield return new BadInput("Batch", "taken back, none", "POST", $"/api/batches/{Day}/taken-back", new { }, 400, "batch: Say which batch.");
        yield return new BadInput("Trace", "a lot that is not there", "GET", $"/api/trace/lots/{Guid.Empty}", null, 404, "There is no such lot.");
        yield return new BadInput("Trace", "an order of which nothing is entered", "GET", $"/api/trace/orders/{Guid.Empty}", null, 404, "No pies of this order are on the books");
        yield return new BadInput("Trace", "a novel to look for", "GET", $"/api/trace?text={new string('x', 61)}", null, 400, "text: At most 60 characters are looked for.");
        yield return new BadInput("Buying", "at nobody", "POST", "/api/purchases", new { supplier = "Nobody", delivery = Day, lines = new[] { new { ingredient = "flour", packUnits = 25_000_000, packs = 1 } } }, 400, "lines[0].ingredient: This supplier does not sell it in that pack any more.");
        yield return new BadInput("Buying", "nothing", "POST", "/api/purchases", new { supplier = "Lower Orchard", delivery = Day, lines = Array.Empty<object>() }, 400, "lines: 1 to 200 things are ordered at once.");
        yield return new BadInput("Buying", "what never was ordered, come", "POST", $"/api/purchases/{Guid.Empty}/received", new { lines = Array.Empty<object>() }, 404, "No such order is open");
        yield return new BadInput("Buying", "a supplier who delivers on fundays", "PUT", "/api/suppliers/Lower%20Orchard/terms", new { minimum = 0, days = new[] { "funday" }, leadDays = 1, until = "12:00" }, 400, "days: A day is one of", FirstVersion);
    }

    private static IEnumerable<BadInput> Lines()
    {
        BadInput Row(string what, string line, string said) => new("Order line", what, "POST", "/api/orders/typed", new { line, day = Day }, 400, said);
        yield return Row("an empty line", " ", "count: How many?");
        yield return Row("no count", "pear @ 23 9:00", "count: ");
        yield return Row("a product nobody makes", "4 mango @ 23 9:00", "product: There is no product \"mango\".");
        yield return Row("no pan", "4 pear", "pan: ");
        yield return Row("a pan of another bakery", "4 pear @ 40 9:00", "pan: Pear and ginger is not made in \"40\"");
        yield return Row("a time that no clock shows", "4 pear @ 23 25:99", "pickUp: ");
        yield return Row("a line of a hundred thousand letters", new string('4', 100_000), "line: ");
        yield return Row("markup", "<script>alert(1)</script> @ 23 9:00", "count: ");
    }

    private static IEnumerable<BadInput> Questions()
    {
        BadInput Row(string what, string path, object? body, int status, string said) => new("Plan", what, body is null ? "GET" : "POST", path, body, status, said);
        yield return Row("a day that is none", "/api/plan/2026-13-45", null, 400, "day: A day is written 2026-05-02.");
        yield return Row("a plan from yesterday on", $"/api/plan/{Day}?from=yesterday", null, 400, "from: ");
        yield return Row("a day before any bakery", "/api/plan/0001-01-01", null, 400, "day: A day is written 2026-05-02.");
        yield return Row("a way out of the folder for a day", "/api/plan/..%2f..%2fetc", null, 400, "day: A day is written 2026-05-02.");
        yield return Row("what if a pick-up that is none", $"/api/plan/{Day}/what-if", new { moves = new[] { new { from = "03:00", to = "04:00" } } }, 400, "moves[0].from: There is no pick-up at that time on this day.");
        yield return Row("what if to a time that is none", $"/api/plan/{Day}/what-if", new { moves = new[] { new { from = "07:30", to = "31:00" } } }, 400, "moves[0].to: A clock time is written 07:45");
        yield return new BadInput("Plan", "asking for a school that is none", "POST", $"/api/plan/{Day}/what-if", new { school = "quickest" }, 400, "school: A school is one of fewestHotHours, freshest, steadiest.");
        yield return new BadInput("Plan", "a day without an oven that is none", "POST", $"/api/plan/{Day}/take", new { ovensOut = new[] { "stove" } }, 400, "ovensOut[0]: There is no such oven.");
        yield return new BadInput("Plan", "a bake two hours longer", "POST", $"/api/plan/{Day}/what-if", new { longerBakes = new[] { new { product = "pear", minutes = 120 } } }, 400, "longerBakes[0].minutes: A bake takes 0 to 60 minutes longer.");
        yield return Row("what if with a move of nothing", $"/api/plan/{Day}/what-if", new { moves = new object?[] { null } }, 400, "moves[0].from: There is no pick-up at that time on this day.");
        yield return Row("a thousand moves at once", $"/api/plan/{Day}/what-if", new { moves = Enumerable.Repeat(new { from = "07:30", to = "07:31" }, 1000) }, 400, "moves: At most 40 pick-ups are moved at once.");
        yield return Row("a day in the year 9999", "/api/plan/9999-12-31", null, 400, "day: A day is written 2026-05-02.");
        yield return Row("the orders of a day in the year 9999", "/api/orders/9999-12-31", null, 400, "day: A day is written 2026-05-02.");
        yield return Row("why, of a task that is none", $"/api/plan/{Day}/reason?task=nothing", null, 404, "There is no such task in the plan as it is now");
        yield return Row("scaling to no pies", "/api/recipes/pear/scale", new { count = 0 }, 400, "count: 1 to 100000 pies can be scaled at once.");
        yield return Row("scaling to a pan that is none", "/api/recipes/pear/scale", new { pan = "99" }, 400, "pan: Pear and ginger is made in 23 or 26.");
        yield return Row("scaling what is not made", "/api/recipes/mango/scale", new { count = 1 }, 404, "There is no such product.");
        yield return new BadInput("Plan", "moving a pick-up to a time that is none", "POST", $"/api/plan/{Day}/take", new { moves = new[] { new { from = "07:30", to = "7.45" } } }, 400, "moves[0].to: A clock time is written 07:45");
    }

    private static IEnumerable<BadInput> Files()
    {
        const string Head = "count,product,pan,pick_up,for\n";
        BadInput Row(string what, string text, string said) => new("Order file", what, "POST", "/api/orders/import", new { text, keep = true }, 400, said);
        yield return Row("an empty file", string.Empty, "file: The file is empty.");
        yield return Row("no heading", "4,pear,23,2026-11-26T09:00,x\n", "file: The first row lacks");
        yield return Row("one bad row among good ones", $"{Head}4,pear,23,2026-11-26T09:00,x\n0,pear,23,2026-11-26T09:00,x\n", "rows[2].count: A line takes 1 to 2000 pies.");
        yield return Row("a row cut short", $"{Head}4,pear\n", "rows[1].pan: ");
        yield return Row("a picture for a table", "\u0089PNG\r\n\u001a\n\0\0\0\rIHDR", "file: ");
        yield return Row("more pies than a day takes", Head + string.Concat(Enumerable.Repeat("2000,pear,23,2026-11-26T09:00,x\n", 50)), "file: Thursday 26 November: A day takes up to 100000 pies; with this it would have 100062.");
        yield return Row("more rows than are taken", Head + string.Concat(Enumerable.Repeat("4,pear,23,2026-11-26T09:00,x\n", 2001)), "file: At most 2000 rows are taken at once.");
    }

    private static IEnumerable<BadInput> Libraries()
    {
        BadInput Row(string what, string text, string said) => new("Library", what, "POST", "/api/library", new { text }, 400, said);
        yield return Row("an empty file", string.Empty, "text: The file is empty.");
        yield return Row("half a file", "{\"format\":\"lumpet.recipe-library/2\",", "text: This is not readable JSON: line 1");
        yield return Row("a format of another day", "{\"format\":\"lumpet.recipe-library/7\"}", "format: This format is not known");
        yield return Row("a thousand brackets", new string('[', 1000), "text: This is not readable JSON: line 1, or nested too deeply.");
        yield return Row("a million lines", "id,name\n" + string.Concat(Enumerable.Repeat("a,b\n", 200_000)), "text: At most 5000 rows are taken at once.");
        yield return Row("markup in a name", "id,name\nx,<img src=x onerror=alert(1)>\n", "ingredients[0].name: A name takes no markup: leave out < and >.");
        yield return Row("an id that climbs", "{\"format\":\"lumpet.recipe-library/2\",\"doughs\":[{\"id\":\"../../x\",\"written\":{\"name\":\"X\"}}]}", "doughs[0].id: An id takes up to 60 small letters");
        yield return Row("a pan ten times deeper than wide", "{\"format\":\"lumpet.recipe-library/2\",\"pans\":[{\"id\":\"x\",\"name\":\"x\",\"topCm\":6,\"bottomCm\":6,\"depthCm\":60,\"rimCm\":0,\"perTray\":1}]}", "pans[0].depthCm: This does not fit: 1 to 20 cm.");
        yield return Row("a recipe with nothing in it", "{\"@type\":\"Recipe\",\"name\":\"Air\"}", "recipes[0].recipeIngredient: No line of \"Air\" could be weighed");
        yield return Row("half a letter", "{\"format\":\"lumpet.recipe-library/2\",\"doughs\":[{\"id\":\"x\",\"written\":{\"name\":\"\\ud800\"}}]}", "text: It holds half a character");
        yield return Row("the same ingredient twice", "id,name\nquince,Quince\nquince,Quince paste\n", "ingredients[1].id: Two ingredients have the id \"quince\".");
        yield return Row("a name that another ingredient has", "id,name\nsugar,\"Butter, unsalted\"\n", "ingredients[0].name: There is an ingredient \"Butter, unsalted\" of another id already.");
        yield return Row("more pans than a bakery has", Pans(60), "pans: A bakery has at most 60 pans; with this file it would have");
        yield return Row("no recipe at all", "{\"@type\":\"Person\"}", "text: There is no recipe in this file");
    }

    private static string Pans(int count) => System.Text.Json.JsonSerializer.Serialize(new
    {
        format = "lumpet.recipe-library/2",
        pans = Enumerable.Range(0, count).Select(at => new { id = $"tin-{at}", name = $"Tin {at}", topCm = 10, bottomCm = 8, depthCm = 3, rimCm = 0, perTray = 4 }),
    });

    private static IEnumerable<BadInput> House()
    {
        BadInput Row(string what, object body, int status, string said, params (string, string)[] headers) => new("Bakery", what, "PUT", "/api/bakery/description", body, status, said, headers);
        yield return Row("nothing filled in", new { }, 400, "name: A bakery needs a name.", FirstVersion);
        yield return Row("a zone on another planet", new { zone = "Mars/Base" }, 400, "zone: A time zone is written like Europe/Lisbon.", FirstVersion);
        yield return Row("an oven with shelves below nothing", new { ovens = new[] { new { name = "x", shelves = -1 } } }, 400, "ovens[0].shelves: This does not fit: 1 to 60 shelves.", FirstVersion);
        yield return Row("a thousand ovens", new { ovens = Enumerable.Range(0, 1000).Select(at => new { name = $"{at}" }) }, 400, "ovens: At most 8 ovens are taken.", FirstVersion);
        yield return Row("a pan five times deeper than wide", new { pans = new[] { new { id = "a", topCm = 4, bottomCm = 4, depthCm = 20 } } }, 400, "pans[0].depthCm: A pan is not deeper than it is wide.", FirstVersion);
        yield return Row("shifts of a minute", new { shifts = new[] { new { name = "x", start = "00:00", lengthMin = 1 } } }, 400, "shifts[0].lengthMin: This does not fit: 15 to 1440 min.", FirstVersion);
        yield return Row("another currency than the prices have", House("USD"), 400, "currency: Prices are kept in EUR, so the currency stays.", FirstVersion);
        yield return Row("a description without the version it changes", new { name = "x" }, 428, "The version the bakery was read with is needed in If-Match.");
    }

    private static object House(string currency) => new
    {
        name = "Quay",
        zone = "Europe/Lisbon",
        currency,
        toleranceC = 5,
        transferMin = 2,
        spareMin = 30,
        mixerName = "Mixer",
        smallestBatchKg = 1,
        largestBatchKg = 10,
        shifts = new[] { new { name = "Day", start = "00:00", lengthMin = 600 } },
        ovens = new[] { new { name = "Oven", shelves = 4, minC = 60, maxC = 280, heatCPerMin = 8, coolCPerMin = 4, dialOffsetC = 0 } },
        pans = new[]
        {
            new { id = "23", name = "23 cm", topCm = 23.0, bottomCm = 19.5, depthCm = 3.5, rimCm = 1, perTray = 4 },
            new { id = "26", name = "26 cm", topCm = 26.0, bottomCm = 22.0, depthCm = 4.0, rimCm = 1, perTray = 2 },
        },
    };

    private static IEnumerable<BadInput> Recipes()
    {
        BadInput Row(string what, object body, string said) => new("Recipe", what, "POST", "/api/recipes", body, 400, said);
        yield return Row("nothing filled in", new { }, "name: A product needs a name.");
        yield return Row("a name that is taken", new { name = "Pear and ginger" }, "name: There is a product \"Pear and ginger\" already.");
        yield return Row("cups of something without a density", Filled("2 cups stem ginger"), "layers[0].lines: \"2 cups stem ginger\": No density of Stem ginger is known");
        yield return Row("a count of a liquid", Filled("3 milk"), "layers[0].lines: \"3 milk\": Milk, whole is a liquid: it is not counted but weighed or measured.");
        yield return Row("fewer grams than none", Filled("-5 g milk"), "layers[0].lines: \"-5 g milk\" is not understood.");
        yield return Row("more grams than a bakery holds", Filled("9999999999999999 kg milk"), "layers[0].lines: \"9999999999999999 kg milk\": an amount lies above 0");
        yield return Row("an amount without end", Filled("1e999 g milk"), "layers[0].lines: \"1e999 g milk\"");
        yield return Row("cups of something that is new here", Filled("2 cups medlar paste"), "layers[0].lines: \"Medlar paste\" is new here, so what \"2 cups\" of it weighs is not known.");
        yield return Row("markup in a name", new { name = "<b>Pie</b>" }, "name: A name takes no markup: leave out < and >.");
        yield return Row("a kind of filling that is none", new { layers = new[] { new { fillingKind = "soup", lines = "1 g milk" } } }, "layers[0].fillingKind: This is one of rawFruit");
        yield return Row("a filling of ten thousand lines", Filled(string.Join('\n', Enumerable.Repeat("1 g milk", 10_000))), "layers[0].lines: At most 60 lines are taken.");
        yield return Row("no layer at all", new { layers = Array.Empty<object>() }, "layers: 1 or more layers are needed.");
        yield return Row("more layers than a pie holds", new { layers = Enumerable.Repeat(new { lines = "1 g milk" }, 13) }, "layers: At most 12 layers are taken.");
        yield return Row("a topping that fills the crust", new { layers = new[] { new { part = "topping", law = "room", lines = "1 g milk" } } }, "layers[0].law: Only a filling fills the room in the crust.");
        yield return Row("by the piece, and no pieces", new { layers = new[] { new { law = "count", lines = "1 g milk" } } }, "layers[0].pieces: This is missing: 1 to 200 pieces.");
        yield return Row("a layer named and nothing in it", new { layers = new object[] { new { lines = "1 g milk", packedDensity = 1 }, new { part = "beside", name = "Sauce" } } }, "layers[1].lines: At least one ingredient is needed");
        yield return Row("steps that go in a circle", Circle(("a", "b"), ("b", "a")), "steps: \"a\" must stand after \"b\".");
        yield return Row("the same link twice", Circle(("a", "b"), ("a", "b")), "links: The link from \"a\" to \"b\" is there twice.");
        yield return Row("a name of characters that cannot be seen", new { name = "\u3164" }, "name: A name takes only characters that can be seen.");
        yield return new BadInput("Recipe", "retiring what is ordered", "POST", "/api/recipes/pear/retired", new { retired = true }, 400, "id: It cannot be retired: ");
        yield return new BadInput("Recipe", "retiring without a word which way", "POST", "/api/recipes/pear/retired", new { }, 400, "retired: Say true to retire it");
        yield return new BadInput("Recipe", "removing what is not there", "DELETE", "/api/recipes/mango", null, 404, "This is not there any more.");
        yield return new BadInput("Dough", "retiring what a recipe needs", "POST", "/api/doughs/short/retired", new { retired = true }, 400, "id: It cannot be retired: ");
        yield return new BadInput("Dough", "nothing in it", "POST", "/api/doughs", new { name = "Air" }, 400, "lines: At least one ingredient is needed");
        yield return new BadInput("Dough", "a rest that ends before it begins", "POST", "/api/doughs", new { name = "x", lines = "1 g flour", restLeast = 90, restAim = 60, restMost = 30 }, 400, "restAim: The aim of a rest lies between its least and its most.");
        yield return new BadInput("Dough", "a dough that someone changed meanwhile", "PUT", "/api/doughs/flaky", Dough(), 412, "Someone else has changed this dough since you opened it.", ("If-Match", "\"7\""));
    }

    private static object Filled(string lines) => new { layers = new[] { new { lines } } };

    private static object Dough() => new { name = "Flaky", lines = "1 g flour", density = 1.2, bowlLossPercent = 1, mixMin = 30, restLeast = 0, restAim = 0, restMost = 60 };

    private static object Circle(params (string From, string To)[] links)
    {
        object Step(string id, string station, object rest) => new { id, name = id, station, stages = Array.Empty<object>(), celsius = 20, usesDough = id == "a", perBatch = rest };
        return new
        {
            name = "Circle",
            dough = "flaky",
            top = "open",
            thicknessMm = 3,
            baseOverhangCm = 1,
            trimPercent = 10,
            bakeChangeCm = 0,
            referencePan = "23",
            oldestMin = 1440,
            layers = new[] { new { lines = "1 g milk", packedDensity = 1 } },
            sizes = new[] { new { pan = "23" } },
            steps = new[] { Step("a", "bench", 5), Step("b", "bench", 5) },
            links = links.Select(link => new { from = link.From, to = link.To }),
        };
    }

    private static IEnumerable<BadInput> Ingredients()
    {
        BadInput Row(string what, object body, int status, string said, string id = "butter") => new("Ingredient", what, "PUT", $"/api/ingredients/{id}", body, status, said, FirstVersion);
        yield return Row("no name", new { allergens = Array.Empty<string>() }, 400, "name: An ingredient needs a name.");
        yield return Row("an allergen that is none", new { name = "Butter", allergens = new[] { "dust" } }, 400, "allergens: \"dust\" is none of wheat");
        yield return Row("made of itself", new { name = "Butter", madeOf = "100 g butter" }, 400, "madeOf: Butter, unsalted cannot be made of itself.");
        yield return Row("made of what is made of it", new { name = "Hazelnuts", madeOf = "100 g hazelnut praline" }, 400, "madeOf: Hazelnut praline is itself made of this: a recipe cannot use itself.", "hazelnut");
        yield return Row("markup in a name", new { name = "<script>" }, 400, "name: A name takes no markup: leave out < and >.");
        yield return Row("a density of lead", new { name = "Butter", gramsPerMl = 11.3 }, 400, "gramsPerMl: This does not fit: 0.02 to 3 g/ml.");
        yield return Row("an egg of no weight", new { name = "Butter", pieces = new[] { new { piece = "one", grams = 0 } } }, 400, "pieces[0].grams: This does not fit: 0.01 to 50000 g.");
        yield return Row("more left than was bought", new { name = "Butter", yields = new[] { new { preparation = "melted", percent = 120 } } }, 400, "yields[0].percent: This does not fit: 1 to 100 %.");
        yield return Row("stronger than spirit", new { name = "Butter", alcoholPercent = 140 }, 400, "alcoholPercent: This does not fit: 0 to 96 %.");
        yield return Row("a pack of nothing", new { name = "Butter", price = new { supplier = "x", packAmount = 0, packUnit = "kg", paid = 1 } }, 400, "price.packAmount: A pack holds 0.001 to 100000.");
        yield return Row("a pack of less than a grain", new { name = "Butter", price = new { supplier = "x", packAmount = 1e-28, packUnit = "kg", paid = 1 } }, 400, "price.packAmount: A pack holds 0.001 to 100000.");
        yield return Row("what one weighs, twice", new { name = "Butter", pieces = new[] { new { piece = "stick", grams = 113 }, new { piece = "Stick", grams = 100 } } }, 400, "pieces: What one \"stick\" weighs is stated twice.");
        yield return Row("what preparing leaves, twice", new { name = "Butter", yields = new[] { new { preparation = "melted", percent = 90 }, new { preparation = "melted", percent = 80 } } }, 400, "yields: What \"melted\" leaves is stated twice.");
        yield return Row("a price below nothing", new { name = "Butter", price = new { supplier = "x", packAmount = 1, packUnit = "kg", paid = -1 } }, 400, "price.paid: A price lies between 0 and 1000000.");
        yield return Row("a way of making what is bought", new { name = "Butter", making = new { batchMostKg = 2, holdMost = 60 } }, 400, "making: How it is made is said of what is made here: write what it is made of.");
        yield return Row("a pot of nothing", new { name = "Butter", madeOf = "100 g Cream, heavy", making = new { batchMostKg = 0, holdMost = 60 } }, 400, "making.batchMostKg: This does not fit: 0.02 to 1000 kg.");
        yield return Row("a way that begins with waiting", new { name = "Butter", madeOf = "100 g Cream, heavy", making = new { batchMostKg = 2, holdMost = 60, steps = new[] { new { id = "w", name = "Wait", station = "cold", waitLeast = 1, waitAim = 1, waitMost = 1, celsius = 4, stages = Array.Empty<object>() } } } }, 400, "making.steps[0]: It begins with work or a bake, not with a wait.");
        yield return new BadInput("Ingredient", "an ingredient that someone changed meanwhile", "PUT", "/api/ingredients/butter", new { name = "Butter" }, 412, "Someone else has changed this ingredient since you opened it.", ("If-Match", "\"9\""));
        yield return new BadInput("Ingredient", "retiring what a dough needs", "POST", "/api/ingredients/flour/retired", new { retired = true }, 400, "id: It cannot be retired: ");
        yield return new BadInput("Ingredient", "removing what a dough needs", "DELETE", "/api/ingredients/flour", null, 400, "id: It cannot be removed: ");
        yield return Row("an ingredient that is not there", new { name = "Gold" }, 404, "There is no such ingredient.", "gold");
    }

    private static IEnumerable<BadInput> Transport()
    {
        BadInput Row(string what, object? body, int status, string said, params (string, string)[] headers) => new("Any request", what, "POST", "/api/orders", body, status, said, headers);
        yield return Row("no JSON", "{ not json", 400, "body: The request is not readable JSON.");
        yield return Row("an empty body", string.Empty, 400, "body: ");
        yield return Row("a list for an object", "[]", 400, "body: ");
        yield return Row("a thousand brackets deep", new string('[', 1000) + new string(']', 1000), 400, "body: ");
        yield return Row("half a letter", "{\"product\":\"\\ud800\"}", 400, "product: ");
        yield return Row("two megabytes", $"{{\"product\":\"{new string('x', 2_000_000)}\"}}", 413, "body: The request is too large.");
        yield return Row("an alphabet that nobody knows", Order(), 415, "body: A body is sent as application/json, in UTF-8.", ("Content-Type", "application/json; charset=nope"));
        yield return Row("text that is no JSON by its own word", Order(), 415, "body: A body is sent as application/json, in UTF-8.", ("Content-Type", "text/plain"));
        yield return Row("a key without end", Order(), 400, "Idempotency-Key: A key takes up to 100 characters.", ("Idempotency-Key", new string('k', 101)));
        yield return new BadInput("Any request", "a change without the version it changes", "DELETE", $"/api/orders/{Guid.Empty}", null, 428, "The version the order was read with is needed in If-Match.");
        yield return new BadInput("Any request", "a change of what is not there", "DELETE", $"/api/orders/{Guid.Empty}", null, 404, "This order is not there any more", FirstVersion);
        yield return new BadInput("Any request", "an address that is none", "GET", "/api/nothing/here", null, 404, "There is nothing at this address.");
        yield return new BadInput("Any request", "a method that is not taken", "PATCH", "/api/orders", null, 404, "There is nothing at this address.");
    }

    /// <summary>The rows as docs/bad-input.md has them.</summary>
    public static string Table()
    {
        var text = new StringBuilder();
        foreach (var area in All.GroupBy(row => row.Where))
        {
            text.Append($"\n## {area.Key}\n\n| what is sent | answer | what is said |\n| --- | --- | --- |\n");
            foreach (var row in area) text.Append($"| {Cell(row.What)} | {row.Status} | {Cell(row.Said.TrimEnd(' ', ':'))} |\n");
        }

        return text.ToString();
    }

    private static string Cell(string words) => (words.Length > 120 ? words[..120] + "…" : words).Replace("|", "\\|", StringComparison.Ordinal).Replace("\n", " ", StringComparison.Ordinal).Replace("<", "&lt;", StringComparison.Ordinal);
}
