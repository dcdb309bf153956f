namespace Lumpet.Core.Steps.Writing;

/// <summary>What a person does to the steps of a way.</summary>
public enum StepAct
{
    /// <summary>Adds work after a step.</summary>
    AddWork,

    /// <summary>Adds a wait after a step.</summary>
    AddWait,

    /// <summary>Adds a bake after a step.</summary>
    AddBake,

    /// <summary>Takes a step out; what came before it leads to what came after it.</summary>
    TakeOut,

    /// <summary>Lets a step change places with the one before it.</summary>
    Earlier,

    /// <summary>Lets a step change places with the one after it.</summary>
    Later,

    /// <summary>Lets a step follow another, too.</summary>
    Follow,

    /// <summary>Lets a step follow another no longer.</summary>
    Unfollow,

    /// <summary>Lets a step that follows another come simply after it.</summary>
    FollowAfter,

    /// <summary>Lets a step that follows a bake be done while that bakes.</summary>
    FollowDuring,

    /// <summary>Lets a step that follows another come on a day after it.</summary>
    FollowNextDay,

    /// <summary>Lets a step that follows another be done as late as the pick-up allows.</summary>
    FollowAtPickUp,
}

/// <summary>Steps as written, with how they follow one another.</summary>
/// <param name="Steps">Each after all that it follows.</param>
/// <param name="Links">Between them.</param>
public sealed record WrittenWay(IReadOnlyList<StepDraft> Steps, IReadOnlyList<LinkDraft> Links);

/// <summary>
/// Changes a written way one act at a time, so that it stays a way: links name steps that are there, none is there twice, each
/// step stands after all that it follows, and a link at a wait holds no minutes, since the wait does.
/// </summary>
public static class StepEditing
{
    // Work that follows work without a wait comes within the hour (common practice, no source).
    private const int UsualWithinMin = 60;

    // From an afternoon to the next, and from a bake to its pick-up (common practice, no source).
    private const int UsualNightMin = 1440;
    private const int UsualUntilPickUpMin = 720;

    /// <summary>The way after an act; the same way where the act has no sense, such as moving the first step earlier.</summary>
    /// <param name="way">The way as written.</param>
    /// <param name="act">What is done.</param>
    /// <param name="id">To which step.</param>
    /// <param name="other">The step that is followed, for the acts that name one; null for the others.</param>
    /// <exception cref="ArgumentException">There is no such step.</exception>
    public static WrittenWay Apply(WrittenWay way, StepAct act, string id, string? other = null)
    {
        var step = Find(way, id);
        return act switch
        {
            StepAct.AddWork => Added(way, step, new StepDraft { Name = "New work", Station = Naming.Of(Station.Bench), PerBatch = 5, PerPie = 1, Celsius = 20, Stages = [], ReadyWhen = string.Empty, Caution = string.Empty }, "work"),
            StepAct.AddWait => Added(way, step, new StepDraft { Name = "New wait", Station = Naming.Of(Station.Cold), WaitLeast = 30, WaitAim = 60, WaitMost = 720, Celsius = 4, Stages = [], ReadyWhen = string.Empty, Caution = string.Empty }, "wait"),
            StepAct.AddBake => Added(way, step, new StepDraft { Name = "New bake", Station = Naming.Of(Station.Oven), Stages = [new StageDraft(180, 20, 30)], ReadyWhen = string.Empty, Caution = string.Empty }, "bake"),
            StepAct.TakeOut => TakenOut(way, step),
            StepAct.Earlier => Before(way, step) is { } before ? Exchanged(way, before, step) : way,
            StepAct.Later => After(way, step) is { } after ? Exchanged(way, step, after) : way,
            StepAct.Follow => Followed(way, step, Find(way, other)),
            StepAct.FollowAfter => Bound(way, step, Find(way, other), LinkKind.After),
            StepAct.FollowDuring => Bound(way, step, Find(way, other), LinkKind.During),
            StepAct.FollowNextDay => Bound(way, step, Find(way, other), LinkKind.DayBefore),
            StepAct.FollowAtPickUp => Bound(way, step, Find(way, other), LinkKind.AtPickUp),
            _ => new WrittenWay(way.Steps, [.. way.Links.Where(link => link.From != other || link.To != step.Id)]),
        };
    }

    private static StepDraft Find(WrittenWay way, string? id) =>
        way.Steps.FirstOrDefault(step => step.Id == id) ?? throw new ArgumentException($"There is no step \"{id}\".");

    private static bool IsWait(StepDraft step) => step.WaitLeast is not null || step.WaitAim is not null || step.WaitMost is not null;

    /// <summary>A step after another: what followed that one follows it now.</summary>
    private static WrittenWay Added(WrittenWay way, StepDraft after, StepDraft fresh, string word)
    {
        fresh = fresh with { Id = ShortName.For(word, [.. way.Steps.Select(step => step.Id ?? string.Empty)]) };
        StepDraft[] steps = [.. way.Steps.SelectMany(step => step == after ? (StepDraft[])[step, fresh] : [step])];
        LinkDraft[] links =
        [
            .. way.Links.Select(link => link.From == after.Id ? Link(fresh, Find(way, link.To), link) : link),
            Link(after, fresh, null),
        ];
        return Ordered(new WrittenWay(steps, links));
    }

    private static WrittenWay TakenOut(WrittenWay way, StepDraft step)
    {
        LinkDraft[] ahead = [.. way.Links.Where(link => link.To == step.Id)];
        LinkDraft[] onward = [.. way.Links.Where(link => link.From == step.Id)];
        LinkDraft[] kept = [.. way.Links.Except(ahead).Except(onward)];
        var bridges =
            from before in ahead
            from after in onward
            where !kept.Any(link => link.From == before.From && link.To == after.To)
            select Link(Find(way, before.From), Find(way, after.To), IsWait(step) ? null : before.Most > 0 ? before : after);
        return new WrittenWay([.. way.Steps.Where(other => other != step)], [.. kept, .. bridges]);
    }

    /// <summary>The one step that a step follows and that leads to nothing else; else the one that is written before it and has nothing to do with it.</summary>
    private static StepDraft? Before(WrittenWay way, StepDraft step)
    {
        var at = Place(way, step);
        LinkDraft[] ahead = [.. way.Links.Where(link => link.To == step.Id)];
        if (ahead is [var only] && way.Links.Count(link => link.From == only.From) == 1) return Find(way, only.From);
        return at > 0 && ahead.All(link => link.From != way.Steps[at - 1].Id) ? way.Steps[at - 1] : null;
    }

    private static StepDraft? After(WrittenWay way, StepDraft step)
    {
        var at = Place(way, step);
        LinkDraft[] onward = [.. way.Links.Where(link => link.From == step.Id)];
        if (onward is [var only] && way.Links.Count(link => link.To == only.To) == 1) return Find(way, only.To);
        return at < way.Steps.Count - 1 && onward.All(link => link.To != way.Steps[at + 1].Id) ? way.Steps[at + 1] : null;
    }

    /// <summary>Two steps in each other's place: of two that follow one another the links too, else only where they are written.</summary>
    private static WrittenWay Exchanged(WrittenWay way, StepDraft first, StepDraft second)
    {
        StepDraft[] steps = [.. way.Steps.Select(step => step == first ? second : step == second ? first : step)];
        if (!way.Links.Any(link => link.From == first.Id && link.To == second.Id)) return Ordered(new WrittenWay(steps, way.Links));
        LinkDraft[] links =
        [
            .. way.Links.Select(link =>
                link.From == first.Id && link.To == second.Id ? Link(second, first, link)
                : link.To == first.Id ? Link(Find(way, link.From), second, link)
                : link.From == second.Id ? Link(first, Find(way, link.To), link)
                : link),
        ];
        return Ordered(new WrittenWay(steps, links));
    }

    private static WrittenWay Followed(WrittenWay way, StepDraft step, StepDraft other)
    {
        if (step == other || way.Links.Any(link => link.From == other.Id && link.To == step.Id) || Leads(way, step.Id, other.Id)) return way;
        return Ordered(new WrittenWay(way.Steps, [.. way.Links, Link(other, step, null)]));
    }

    /// <summary>Whether a way leads from one step to another.</summary>
    private static bool Leads(WrittenWay way, string? from, string? to)
    {
        var (seen, open) = (new HashSet<string?>(), new Stack<string?>([from]));
        while (open.TryPop(out var at))
            foreach (var link in way.Links.Where(link => link.From == at))
                if (seen.Add(link.To)) open.Push(link.To);
        return seen.Contains(to);
    }

    /// <summary>A link with the minutes of another, or the usual ones; at a wait it holds none.</summary>
    private static LinkDraft Link(StepDraft from, StepDraft to, LinkDraft? like) => IsWait(from) || IsWait(to)
        ? new LinkDraft(from.Id, to.Id, 0, 0)
        : new LinkDraft(from.Id, to.Id, like?.Least ?? 0, like is { Most: > 0 } ? like.Most : UsualWithinMin, like?.Kind == Naming.Of(LinkKind.During) ? null : like?.Kind);

    /// <summary>A step follows another in another way: a night between needs room for it, a bake that is gone on beside needs no minutes.</summary>
    private static WrittenWay Bound(WrittenWay way, StepDraft step, StepDraft other, LinkKind kind) => new(way.Steps, [.. way.Links.Select(link =>
        link.From != other.Id || link.To != step.Id ? link
        : (kind, IsWait(other) || IsWait(step)) switch
        {
            (_, true) => link with { Kind = Word(kind) },
            (LinkKind.DayBefore, _) => link with { Kind = Word(kind), Most = Math.Max(link.Most ?? 0, UsualNightMin) },
            (LinkKind.AtPickUp, _) => link with { Kind = Word(kind), Most = Math.Max(link.Most ?? 0, UsualUntilPickUpMin) },
            (LinkKind.During, _) => link with { Kind = Word(kind), Least = link.Kind == Word(kind) ? link.Least : 0 },
            _ => link with { Kind = null, Most = link.Most > 0 ? link.Most : UsualWithinMin },
        })]);

    private static string? Word(LinkKind kind) => kind == LinkKind.After ? null : Naming.Of(kind);

    private static int Place(WrittenWay way, StepDraft step) => Enumerable.Range(0, way.Steps.Count).First(at => way.Steps[at] == step);

    /// <summary>Each step after all that it follows, otherwise as written.</summary>
    private static WrittenWay Ordered(WrittenWay way)
    {
        var left = way.Steps.ToList();
        var steps = new List<StepDraft>();
        while (left.Count > 0)
        {
            var next = left.FirstOrDefault(step => way.Links.All(link => link.To != step.Id || left.All(other => other.Id != link.From))) ?? left[0];
            left.Remove(next);
            steps.Add(next);
        }

        return way with { Steps = steps };
    }
}
