using BenchmarkDotNet.Attributes;
using Lumpet.Core.DayPlan;

namespace Lumpet.Bench;

/// <summary>The core alone.</summary>
[MemoryDiagnoser]
public class CoreBenchmarks
{
    private readonly DemoDay demo = DemoDay.Read();
    private DaySnapshot once = null!;
    private DaySnapshot tenTimes = null!;

    [GlobalSetup]
    public void Grow() => (once, tenTimes) = (demo.Times(1), demo.Times(10));

    [Benchmark(Description = "Scale and cost a recipe")]
    public decimal Scale() => demo.ScaleAndCost();

    [Benchmark(Description = "Plan a day of 62 pies")]
    public PlannedDay Plan() => DayPlanner.Plan(once);

    [Benchmark(Description = "Plan ten times its orders, 620 pies")]
    public PlannedDay PlanTenTimes() => DayPlanner.Plan(tenTimes);
}
