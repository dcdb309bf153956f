using Lumpet.Core;
using Lumpet.Core.DayPlan;
using Lumpet.Core.Orders;
using Lumpet.Server.Bakery;

namespace Lumpet.Server.DayPlan;

/// <summary>Writes a plan out for the screen.</summary>
internal static class PlanWriting
{
    /// <summary>The whole plan.</summary>
    public static PlanAnswer Of(DayView view)
    {
        var (book, plan, now) = (view.Book, view.Plan, view.Now);
        var (from, to) = (plan.AllTasks().Select(task => task.StartMin).DefaultIfEmpty(0).Min(), plan.Waves.Select(wave => wave.PickUpMin).DefaultIfEmpty(0).Max());
        var hands = HandsNeeded.In(plan);
        return new PlanAnswer(
            Days.Iso(book.Day),
            Days.Name(book.Day),
            book.Fingerprint,
            PlanSentence.Of(book, plan, now, view.Late is { IsFromNow: false }),
            PlanSentence.Note(plan),
            [
                .. plan.Troubles.Select(trouble => PlanSentence.Trouble(book, plan, trouble)),
                .. view.Others.Shared.Select(one => PlanSentence.Shared(book, one.Other, one.Shared)),
            ],
            [.. plan.WaysOut.Where(way => CanBeHad(view, way)).Select(way => Way(book, way))],
            view.Late,
            plan.Pies,
            [.. plan.Waves.Select(wave => new WaveAnswer(
                book.Clock.At(wave.PickUpMin), wave.Pies, string.Join(", ", wave.For), wave.IsMet, PlanSentence.Says(wave), wave.BoxedMin is { } boxed ? book.Clock.At(boxed) : null, wave.SpareMin))],
            [.. book.Snapshot.OvensWatched.Select(shift => new ShiftAnswer(shift.Name, book.Clock.At(shift.StartMin), book.Clock.At(shift.EndMin)))],
            [.. DayRibbon.Of(plan).Select(stretch => new RibbonAnswer(stretch.Phase, book.Clock.At(stretch.StartMin), book.Clock.At(stretch.EndMin), stretch.Celsius))],
            now >= from && now <= to ? book.Clock.At(now) : null,
            OvenDrawing.Of(book, plan),
            Axis(book, plan),
            [.. plan.AllTasks().Select(task => Task(book, plan, task))],
            plan.Tasks.Count == 0 ? null : new HandsAnswer(hands.AtOnce, book.Clock.At(hands.AtMin), hands.WorkMin, PlanSentence.There(book.Snapshot.Shifts, plan.Fates), [.. CrewRota.Of(plan).Select(line => (IReadOnlyList<string>)[.. line.Tasks.Select(task => task.Id)])]),
            plan.IsSettled,
            view.Given,
            DayFigures.Of(plan).HotMin,
            PlanSentence.Beside(book, plan, view.Others),
            Arrangement(book),
            PublishedWords.Of(view),
            []);
    }

    private static AxisAnswer Axis(DayBook book, PlannedDay plan) => new(
        [.. DayAxis.Of(plan).Blocks.Select(block => new BlockAnswer(book.Clock.At(block.FromMin), book.Clock.At(block.ToMin), book.Clock.Hours(block.FromMin, block.ToMin)))],
        RoomLevelWords.Drawn(book, plan));

    private static string BetweenWords(int hands) => hands == 1 ? "One pair of hands" : $"{hands} pairs of hands";

    private static string Hands(int more) => more == 1 ? "one more pair of hands" : $"{more} more pairs of hands";

    /// <summary>What can be done, with what it does, and as a question that takes it.</summary>
    private static WayOutAnswer Way(DayBook book, WayOut way)
    {
        var (text, change) = way.Kind switch
        {
            WayOutKind.MoreHands => ("One more pair of hands in every shift", new WayOutChange(book.Arrangement.MoreHands + way.Amount, null, [])),
            WayOutKind.Earlier => ($"Work begins {PlanSentence.Hours(way.Amount)} earlier", new WayOutChange(null, book.Arrangement.EarlierMin + way.Amount, [])),
            WayOutKind.Between => ($"{BetweenWords(way.Amount)} between the shifts", new WayOutChange(null, null, [], BetweenHands: way.Amount)),
            WayOutKind.LeaveOut => ($"Without the {LeftOutWords(book, way)}", new WayOutChange(null, null, [], LeftOut: LotsOfDay.With(book, way.LeftOut!))),
            WayOutKind.OtherSchool => (DayChoices.Words(book, way.School!).First(), new WayOutChange(null, null, [], DayChoices.With(book, way.School!))),
            _ => ($"The {book.Clock.At(way.PickUpMin!.Value).Clock} pick-up at {book.Clock.At(way.PickUpMin.Value + way.Amount).Clock}", new WayOutChange(null, null, [new PickUpMove(book.Clock.At(way.PickUpMin.Value).Clock, book.Clock.At(way.PickUpMin.Value + way.Amount).Clock)])),
        };
        return new WayOutAnswer(text, Served(way.Before), Served(way.After), change);
    }

    private static string LeftOutWords(DayBook book, WayOut way) =>
        $"{PlanSentence.Count(way.After.LeftOut, "pie")} of {way.LeftOut!.Product.Name}, {way.LeftOut.Pan.Name}, for {book.Clock.At(way.LeftOut.PickUpMin).Clock}";

    /// <summary>How the pick-ups of a day are served, in a few words.</summary>
    public static string Served(DayServed served) => (served.NotMade, served.Late) switch
    {
        _ when served.LeftOut > 0 => $"{served.LeftOut} left out, of the others {Served(served with { NotMade = served.NotMade - served.LeftOut, LeftOut = 0 })}",
        (0, 0) => "all in time",
        (0, _) => $"{served.Late} late, the last by {PlanSentence.Hours(served.LateMin)}",
        (_, 0) => $"{served.NotMade} not made",
        _ => $"{served.NotMade} not made, {served.Late} late",
    };

    /// <summary>Whether it can still be had: hands come to no shift that is full of them, and nobody begins before now.</summary>
    private static bool CanBeHad(DayView view, WayOut way) => way.Kind switch
    {
        WayOutKind.MoreHands => view.Book.Arrangement.MoreHands + way.Amount <= DayArrangement.MostMoreHands,
        WayOutKind.Earlier => view.Book.Arrangement.EarlierMin + way.Amount <= DayArrangement.EarliestMin && view.Book.Snapshot.Shifts.Select(shift => shift.StartMin).DefaultIfEmpty(0).Min() - way.Amount >= view.Now,
        WayOutKind.Between => view.Book.Arrangement.BetweenHands == 0,
        WayOutKind.LeaveOut => view.Book.Arrangement.LeftOut.Count < LeftOutLot.Most,
        WayOutKind.OtherSchool => DayChoices.IsOffered(view.Book, way.School!),
        _ => true,
    };

    private static ArrangementAnswer Arrangement(DayBook book)
    {
        var arrangement = book.Arrangement;
        var names = book.Snapshot.Orders.Select(order => order.Product).DistinctBy(product => product.Id).ToDictionary(product => product.Id, product => product.Name);
        string[] schools = [.. arrangement.Schools.SelectMany(school => DayChoices.Words(book, school))];
        string[] words =
        [
            .. arrangement.School == OvenSchool.FewestHotHours ? Array.Empty<string>() : [$"planned for the {PlanComparison.Of(arrangement.School).Name.ToLowerInvariant()}"],
            .. arrangement.MoreHands > 0 ? [$"{Hands(arrangement.MoreHands)} in every shift"] : Array.Empty<string>(),
            .. arrangement.BetweenHands > 0 ? [$"{(arrangement.BetweenHands == 1 ? "one pair of hands" : BetweenWords(arrangement.BetweenHands))} between the shifts"] : Array.Empty<string>(),
            .. arrangement.EarlierMin > 0 ? [$"work begins {PlanSentence.Hours(arrangement.EarlierMin)} earlier"] : Array.Empty<string>(),
            .. book.Bakery.Ovens.Where(oven => arrangement.OvensOut.Contains(oven.Id)).Select(oven => $"{oven.Name} is out"),
            .. arrangement.LongerBakes.Where(bake => names.ContainsKey(bake.Key)).Select(bake => $"{names[bake.Key]} bakes {bake.Value} min longer"),
            .. schools,
            .. LeftOutPies.Words(book.LeftOut).Select(lot => $"left out: {lot}"),
        ];
        return new ArrangementAnswer(
            string.Join("; ", words),
            Naming.Of(arrangement.School),
            PlanComparison.Of(arrangement.School).Name,
            [.. book.Bakery.Ovens.Select(oven => new OvenOutAnswer(oven.Id, oven.Name, arrangement.OvensOut.Contains(oven.Id)))],
            [.. book.Snapshot.Orders.Select(order => order.Product).DistinctBy(product => product.Id).Where(product => product.Process.Steps.Any(step => step.IsBake))
                .OrderBy(product => product.Name, StringComparer.Ordinal).Select(product => new LongerBakeAnswer(product.Id, product.Name, arrangement.LongerBakes.GetValueOrDefault(product.Id)))],
            [.. book.Snapshot.Orders.DistinctBy(order => (order.Product.Id, order.Pan.Id)).Select(order => new SizeOfDayAnswer(order.Product.Id, order.Pan.Id, $"{order.Product.Name}, {order.Pan.Name}"))
                .OrderBy(size => size.Name, StringComparer.Ordinal)],
            book.Snapshot.Shifts.Any(shift => shift.People is not null) ? arrangement.MoreHands : null,
            arrangement.EarlierMin,
            schools,
            arrangement.BetweenHands,
            LotsOfDay.Of(book));
    }

    /// <summary>Why a task is when it is, or null where there is no such task.</summary>
    public static ReasonAnswer? Reason(DayBook book, PlannedDay plan, string id)
    {
        if (plan.GoingOn.Any(task => task.Id == id)) return new ReasonAnswer(id, "the plan that was published has begun it: it goes on as it was planned", [], [], 0, "it is under way");
        if (plan.AtDoors.Any(task => task.Id == id)) return new ReasonAnswer(id, "the ovens' plan has these trays go in or come out then", [], [], 0, "the ovens are planned first, and the crew's other work around them");
        if (!plan.Reasons.TryGetValue(id, out var reason)) return null;
        var tasks = plan.Tasks.ToDictionary(task => task.Id);
        NeighbourAnswer Neighbour(TaskLink link)
        {
            var task = tasks[link.TaskId];
            return new NeighbourAnswer(task.Id, task.Name, About(book, plan, task), book.Clock.At(task.StartMin), book.Clock.At(task.EndMin), link.GapMin, link.LeastMin);
        }

        return new ReasonAnswer(
            id,
            PlanSentence.Filled(book, reason.Why),
            [.. reason.WaitsFor.Select(Neighbour)],
            [.. reason.WaitedBy.Select(Neighbour)],
            reason.SlipMin,
            PlanSentence.Filled(book, reason.SlipEnds));
    }

    /// <summary>What a task is about: "Pear and ginger, 23 cm, for 07:30".</summary>
    public static string About(DayBook book, PlannedDay plan, DayTask task) =>
        task.LotId is { } lot ? $"{task.About}, for {book.Clock.At(plan.Lot(lot).PickUpMin).Clock}" : task.About;

    private static TaskAnswer Task(DayBook book, PlannedDay plan, DayTask task) => new(
        task.Id,
        task.Name,
        About(book, plan, task),
        Naming.Of(task.Station),
        Naming.Of(task.Kind),
        book.Clock.At(task.StartMin),
        book.Clock.At(task.EndMin),
        task.EndMin - task.StartMin,
        task.Pies,
        task.Celsius ?? plan.Lot(task.LotId!).Product.Process.Steps.First(step => step.Id == task.StepId).Stages[0].TempC,
        task.ReadyWhen,
        task.Caution,
        OneGo.Words(book, plan, task),
        task.RightAfter);
}
