namespace Lumpet.Core.Steps;

/// <summary>What each kind of link needs to hold together.</summary>
internal static class LinkRules
{
    /// <summary>The least that lies between two days' work (common practice, no source).</summary>
    public const int NightMin = 480;

    /// <summary>Throws where a link says what cannot be.</summary>
    /// <exception cref="ArgumentException">It cannot be; the message says why.</exception>
    public static void Hold(Step before, Step after, StepEdge edge)
    {
        switch (edge.Kind)
        {
            case LinkKind.During when !before.IsBake:
                throw new ArgumentException($"Only a bake can be gone on beside, and \"{before.Name}\" is none.");
            case LinkKind.During when after.IsBake || edge.Waits.Count > 0:
                throw new ArgumentException($"What is done while \"{before.Name}\" bakes is work, without a wait before it.");
            case LinkKind.During when edge.Lag.Least + after.Hands!.For(1) > before.Stages.Sum(stage => stage.MinMin):
                throw new ArgumentException($"\"{after.Name}\" takes longer than \"{before.Name}\" bakes.");
            case LinkKind.DayBefore when edge.Lag.Most < NightMin:
                throw new ArgumentException($"\"{before.Name}\" is done the day before \"{after.Name}\", and between them lie at most {edge.Lag.Most} min: a night takes {NightMin}.");
        }
    }
}
