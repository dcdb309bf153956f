using Lumpet.Server.Bakery;

namespace Lumpet.Server.DayPlan;

/// <summary>A day's plan, ready to be drawn.</summary>
/// <param name="Day">ISO date of the pick-ups.</param>
/// <param name="DayName">As people say it.</param>
/// <param name="Fingerprint">Of the snapshot it follows from.</param>
/// <param name="Sentence">The answer in plain words, in parts.</param>
/// <param name="Note">What stands below it, smaller.</param>
/// <param name="Troubles">What does not work out.</param>
/// <param name="WaysOut">What can be done about it, what helps most first.</param>
/// <param name="Late">What should have begun by now, and what can still be done; null where nothing is late.</param>
/// <param name="Pies">Pies in all.</param>
/// <param name="Waves">The pick-ups.</param>
/// <param name="Shifts">When people are there.</param>
/// <param name="Ribbon">The day as a strip.</param>
/// <param name="Now">Now, where it falls into the plan.</param>
/// <param name="Ovens">The ovens over time; null where nothing is baked.</param>
/// <param name="Axis">What crew, ovens, cold and pick-ups are drawn on together.</param>
/// <param name="Tasks">Every task.</param>
/// <param name="Hands">How many people the plan needs.</param>
/// <param name="IsSettled">Whether all was tried that is tried for a day; given "settled" it has the time that takes.</param>
/// <param name="Given">The time that it was given: "first", "soon" or "settled"; its sheets are asked for with the same word.</param>
/// <param name="HotMin">Minutes for which ovens are on, all together; where days before have them on anyway, what this day adds.</param>
/// <param name="Beside">What days before and after have to do with it, one sentence each.</param>
/// <param name="Arrangement">What is arranged for the day, and what can be.</param>
/// <param name="Published">The plan that the crew works by; null where none is published.</param>
/// <param name="Differences">What is another than in the day as it is; empty where nothing was asked about.</param>
public sealed record PlanAnswer(
    string Day,
    string DayName,
    string Fingerprint,
    IReadOnlyList<SentencePart> Sentence,
    string Note,
    IReadOnlyList<TroubleAnswer> Troubles,
    IReadOnlyList<WayOutAnswer> WaysOut,
    LateAnswer? Late,
    int Pies,
    IReadOnlyList<WaveAnswer> Waves,
    IReadOnlyList<ShiftAnswer> Shifts,
    IReadOnlyList<RibbonAnswer> Ribbon,
    Moment? Now,
    OvensAnswer? Ovens,
    AxisAnswer Axis,
    IReadOnlyList<TaskAnswer> Tasks,
    HandsAnswer? Hands,
    bool IsSettled,
    string Given,
    long HotMin,
    IReadOnlyList<string> Beside,
    ArrangementAnswer Arrangement,
    PublishedAnswer? Published,
    IReadOnlyList<PlanDifferenceAnswer> Differences);

/// <summary>The plan that a crew works by.</summary>
/// <param name="Number">Its number among those of the day.</param>
/// <param name="Words">When it was published, and whether it is the plan that is shown, in one sentence.</param>
/// <param name="IsShown">Whether it is the plan that is shown; else what is shown is planned around what it has begun.</param>
/// <param name="CanGoOn">Whether what is left can be planned anew around what it has begun.</param>
/// <param name="Begun">What it has begun by now, the last first.</param>
public sealed record PublishedAnswer(int Number, string Words, bool IsShown, bool CanGoOn, IReadOnlyList<BegunAnswer> Begun);

/// <summary>Work that a published plan has begun by now.</summary>
/// <param name="Task">Id of the task.</param>
/// <param name="Name">What is done.</param>
/// <param name="About">Of what.</param>
/// <param name="Start">When it was to begin.</param>
/// <param name="End">When it was to end.</param>
/// <param name="IsOver">Whether its time has passed, so that it counts as done.</param>
/// <param name="IsDone">Whether nobody says otherwise.</param>
/// <param name="LongerMin">By how many minutes someone says that it takes longer; its end has them.</param>
/// <param name="MayTakeLonger">Whether that may be said of it.</param>
public sealed record BegunAnswer(string Task, string Name, string About, Moment Start, Moment End, bool IsOver, bool IsDone, int LongerMin, bool MayTakeLonger);

/// <summary>What is arranged for a day, and what can be.</summary>
/// <param name="Words">What is arranged, in words; empty where nothing is.</param>
/// <param name="School">"fewestHotHours", "freshest" or "steadiest".</param>
/// <param name="SchoolName">Its name.</param>
/// <param name="Ovens">Every oven, and whether it is out.</param>
/// <param name="Bakes">Every product of the day that is baked, and by how many minutes its last bake takes longer.</param>
/// <param name="Sizes">What more of can be asked about: products and pans of the day's orders.</param>
/// <param name="MoreHands">Pairs of hands more in every shift; null where no shift says how many it has.</param>
/// <param name="EarlierMin">By how many minutes work begins earlier.</param>
/// <param name="Schools">Recipes that are made another way, in words, one each.</param>
/// <param name="BetweenHands">Pairs of hands that are there between the shifts.</param>
/// <param name="Lots">Every lot that is ordered for the day, by the pick-up, and whether it is left out.</param>
public sealed record ArrangementAnswer(
    string Words, string School, string SchoolName, IReadOnlyList<OvenOutAnswer> Ovens, IReadOnlyList<LongerBakeAnswer> Bakes, IReadOnlyList<SizeOfDayAnswer> Sizes, int? MoreHands, int EarlierMin, IReadOnlyList<string> Schools, int BetweenHands, IReadOnlyList<LotOfDayAnswer> Lots);

/// <summary>A lot of a day: all of a product in a pan for one pick-up.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="PickUp">Clock time of the pick-up, "07:30".</param>
/// <param name="Name">"6 Damson lattice, 23 cm, for 07:30".</param>
/// <param name="IsLeftOut">Whether the plan leaves it out.</param>
public sealed record LotOfDayAnswer(string Product, string Pan, string PickUp, string Name, bool IsLeftOut);

/// <summary>An oven on a day.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="IsOut">Whether it is out.</param>
public sealed record OvenOutAnswer(string Id, string Name, bool IsOut);

/// <summary>A product's bake on a day.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Name">Its name.</param>
/// <param name="LongerMin">By how many minutes its last bake takes longer.</param>
public sealed record LongerBakeAnswer(string Product, string Name, int LongerMin);

/// <summary>A product and pan of a day.</summary>
/// <param name="Product">Id of the product.</param>
/// <param name="Pan">Id of the pan.</param>
/// <param name="Name">"Pear and ginger, 23 cm".</param>
public sealed record SizeOfDayAnswer(string Product, string Pan, string Name);

/// <summary>What was done when a day was made as it was asked about.</summary>
/// <param name="Moved">Order lines that were moved.</param>
/// <param name="Added">Order lines that were added.</param>
public sealed record TakenAnswer(int Moved, int Added);

/// <summary>A part of a sentence.</summary>
/// <param name="Text">The words.</param>
/// <param name="Control">What the words change when they are pressed: "day", "orders", "pickUp"; null for plain words.</param>
/// <param name="Value">What they stand at: an ISO date, a clock time; null where there is nothing to set.</param>
public sealed record SentencePart(string Text, string? Control, string? Value);

/// <summary>Something that does not work out.</summary>
/// <param name="Text">What, by how much, and what binds.</param>
/// <param name="Mend">What would free it.</param>
public sealed record TroubleAnswer(string Text, string Mend);

/// <summary>Something that can be done about what does not work out. It was planned.</summary>
/// <param name="Text">What.</param>
/// <param name="Before">How the pick-ups are served as it is.</param>
/// <param name="After">How they would be.</param>
/// <param name="Change">What is asked for to have it.</param>
public sealed record WayOutAnswer(string Text, string Before, string After, WayOutChange Change);

/// <summary>What of a day is changed; what is null stays as it is.</summary>
/// <param name="MoreHands">Pairs of hands more in every shift.</param>
/// <param name="EarlierMin">By how many minutes work begins earlier.</param>
/// <param name="Moves">Pick-ups that are moved.</param>
/// <param name="Schools">All products that would be made by another school; null where that stays as it is.</param>
/// <param name="BetweenHands">Pairs of hands between the shifts.</param>
/// <param name="LeftOut">All lots that would be left out of the plan; null where that stays as it is.</param>
public sealed record WayOutChange(int? MoreHands, int? EarlierMin, IReadOnlyList<PickUpMove> Moves, IReadOnlyList<ProductSchoolRequest>? Schools = null, int? BetweenHands = null, IReadOnlyList<LeftOutRequest>? LeftOut = null);

/// <summary>Work that should have begun by now and of which nobody has recorded anything.</summary>
/// <param name="Words">What is late, by how much.</param>
/// <param name="Still">What can still be done when all of it is begun now.</param>
/// <param name="IsFromNow">Whether the plan that is shown begins now.</param>
public sealed record LateAnswer(string Words, string Still, bool IsFromNow);

/// <summary>A pick-up.</summary>
/// <param name="PickUp">When.</param>
/// <param name="Pies">Pies.</param>
/// <param name="For">Who for.</param>
/// <param name="IsMet">Whether all of it is boxed in time.</param>
/// <param name="Says">How it fares, in words: "boxed with 32 min to spare", "12 of 20 cannot be made".</param>
/// <param name="Boxed">When the last is boxed; null where some are not made.</param>
/// <param name="SpareMin">Minutes to spare; below 0 when late.</param>
public sealed record WaveAnswer(Moment PickUp, int Pies, string For, bool IsMet, string Says, Moment? Boxed, int? SpareMin);

/// <summary>A shift.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Start">When it begins.</param>
/// <param name="End">When it ends.</param>
public sealed record ShiftAnswer(string Name, Moment Start, Moment End);

/// <summary>A stretch of the ribbon.</summary>
/// <param name="Phase">What it is about.</param>
/// <param name="Start">When it begins.</param>
/// <param name="End">When it ends.</param>
/// <param name="Celsius">Temperature it is drawn in.</param>
public sealed record RibbonAnswer(string Phase, Moment Start, Moment End, int Celsius);

/// <summary>The ovens over time.</summary>
/// <param name="From">Where the drawing begins.</param>
/// <param name="To">Where it ends.</param>
/// <param name="Blocks">Stretches of time that are drawn one after another; between them no oven is on for hours.</param>
/// <param name="Ovens">The ovens.</param>
public sealed record OvensAnswer(Moment From, Moment To, IReadOnlyList<BlockAnswer> Blocks, IReadOnlyList<OvenAnswer> Ovens);

/// <summary>A stretch of time that is drawn in one piece.</summary>
/// <param name="From">Where it begins.</param>
/// <param name="To">Where it ends.</param>
/// <param name="Hours">The full hours in it.</param>
public sealed record BlockAnswer(Moment From, Moment To, IReadOnlyList<Moment> Hours);

/// <summary>What crew, ovens, cold and pick-ups are drawn on together.</summary>
/// <param name="Blocks">Stretches of time in which something is done, one after another; empty where nothing is.</param>
/// <param name="Rooms">How full the places are that trays, tubs and people take.</param>
public sealed record AxisAnswer(IReadOnlyList<BlockAnswer> Blocks, IReadOnlyList<RoomAnswer> Rooms);

/// <summary>How full a place of the kitchen is.</summary>
/// <param name="Place">Which: "bench", "burners", "racks", "fridgeTrays", "fridgeTubs", "freezerTrays" or "freezerTubs".</param>
/// <param name="Name">Its name.</param>
/// <param name="Unit">What is counted: "trays", "kg", "people" or "pots".</param>
/// <param name="Room">How much there is; null where nobody has counted it.</param>
/// <param name="Most">The most in use at once.</param>
/// <param name="MostAt">When.</param>
/// <param name="Levels">How much is in use from each moment on; the last is 0.</param>
/// <param name="Full">For how long it is full, in words; empty where it never is.</param>
public sealed record RoomAnswer(string Place, string Name, string Unit, double? Room, double Most, Moment MostAt, IReadOnlyList<RoomLevelAnswer> Levels, string Full);

/// <summary>So much is in use from a moment on.</summary>
/// <param name="At">The moment.</param>
/// <param name="Amount">How much, in the place's unit.</param>
public sealed record RoomLevelAnswer(Moment At, double Amount);

/// <summary>An oven over time.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Shelves">Trays it holds on its shelves.</param>
/// <param name="FloorPlaces">Trays it holds on its floor beside them.</param>
/// <param name="DialOffsetC">What its dial shows beyond the conventional temperature.</param>
/// <param name="Curve">Corners of its temperature over time, one line for each stretch.</param>
/// <param name="Settings">Changes of its setting.</param>
/// <param name="Layers">What lies in it.</param>
public sealed record OvenAnswer(
    string Id,
    string Name,
    int Shelves, int FloorPlaces,
    int DialOffsetC,
    IReadOnlyList<IReadOnlyList<CurvePoint>> Curve,
    IReadOnlyList<SettingAnswer> Settings,
    IReadOnlyList<LayerAnswer> Layers);

/// <summary>A corner of a temperature curve.</summary>
/// <param name="Min">Minute.</param>
/// <param name="Celsius">Temperature.</param>
public sealed record CurvePoint(int Min, int Celsius);

/// <summary>A change of an oven's setting.</summary>
/// <param name="At">When.</param>
/// <param name="TempC">Conventional temperature; null for off.</param>
/// <param name="DialC">What the dial is set to; null for off.</param>
/// <param name="IsDrop">Whether trays are inside and their next stage begins.</param>
public sealed record SettingAnswer(Moment At, int? TempC, int? DialC, bool IsDrop);

/// <summary>Trays of one bake that lie in an oven together.</summary>
/// <param name="Load">Number of the load they entered with; 0 of what a day before has in the oven.</param>
/// <param name="Product">Name of the product, or of what is made before the pies.</param>
/// <param name="Step">What is baked, where it is not simply pies: "shells".</param>
/// <param name="IsOnFloor">Whether it bakes on the oven's floor.</param>
/// <param name="Pan">Name of the pan; empty of what is made before the pies.</param>
/// <param name="Pies">Pies; 0 of what is made before them.</param>
/// <param name="Shelves">Their shelves, from 1 at the top.</param>
/// <param name="Trays">What stands on each of those shelves.</param>
/// <param name="PanCm">Outer diameter of a pan, or its outer width.</param>
/// <param name="PanLengthCm">Outer length of a long pan; null of a round one.</param>
/// <param name="Stages">Their stages here.</param>
/// <param name="FromOven">Name of the oven they come from; null from the bench.</param>
/// <param name="PickUp">The pick-up they are for; of what is made before the pies when the first of it is used.</param>
/// <param name="ReadyWhen">How one sees that they are done.</param>
/// <param name="Id">Number of the layer in the drawing, over all ovens.</param>
/// <param name="From">Numbers of the layers of another oven that its trays come from; empty where they come from the bench.</param>
/// <param name="HeatedFrom">From when on its trays are heated, empty; null where they are not.</param>
/// <param name="Day">The day whose plan it belongs to, where that is a day before; empty of this day's own.</param>
public sealed record LayerAnswer(
    int Load, string Product, string Step, bool IsOnFloor, string Pan, int Pies, IReadOnlyList<int> Shelves, IReadOnlyList<TrayAnswer> Trays, double PanCm, double? PanLengthCm, IReadOnlyList<StageAnswer> Stages, string? FromOven, Moment PickUp, string ReadyWhen, int Id, IReadOnlyList<int> From, Moment? HeatedFrom, string Day);

/// <summary>A tray seen from above.</summary>
/// <param name="Pies">Pies on it.</param>
/// <param name="Spots">Where they stand; empty where the tray is not the common one.</param>
/// <param name="IsTurned">Whether long pans lie across the tray.</param>
public sealed record TrayAnswer(int Pies, IReadOnlyList<SpotAnswer> Spots, bool IsTurned);

/// <summary>The middle of a pan on a tray of 66 x 46 cm.</summary>
/// <param name="X">Centimetres from the left.</param>
/// <param name="Y">Centimetres from the top.</param>
public sealed record SpotAnswer(double X, double Y);

/// <summary>A stage in an oven.</summary>
/// <param name="Number">Which stage of the bake.</param>
/// <param name="TempC">Its temperature.</param>
/// <param name="Start">When it begins.</param>
/// <param name="End">When it ends.</param>
public sealed record StageAnswer(int Number, int TempC, Moment Start, Moment End);

/// <summary>A task.</summary>
/// <param name="Id">Stable for the same snapshot.</param>
/// <param name="Name">What is done.</param>
/// <param name="About">Of what.</param>
/// <param name="Station">Where.</param>
/// <param name="Kind">"hands", "bake" or "wait".</param>
/// <param name="Start">When it begins.</param>
/// <param name="End">When it ends.</param>
/// <param name="Minutes">How long it takes.</param>
/// <param name="Pies">Pies concerned; 0 for dough.</param>
/// <param name="Celsius">Temperature of the place.</param>
/// <param name="ReadyWhen">The sensory test.</param>
/// <param name="Caution">What can hurt.</param>
/// <param name="OneGo">What is done in one go with it, in words; empty where it is done by itself.</param>
/// <param name="RightAfter">The task right after which the same hands do it; null where it begins by itself.</param>
public sealed record TaskAnswer(
    string Id, string Name, string About, string Station, string Kind, Moment Start, Moment End, int Minutes, int Pies, int Celsius, string ReadyWhen, string Caution, string OneGo, string? RightAfter);

/// <summary>People the plan needs.</summary>
/// <param name="AtOnce">The most at work in the same minute.</param>
/// <param name="At">The first minute at which that many are.</param>
/// <param name="WorkMin">Minutes of work in all.</param>
/// <param name="There">How many are there, in words; empty where nobody has said.</param>
/// <param name="Lines">What each pair of hands does, by the ids of its tasks in order of time.</param>
public sealed record HandsAnswer(int AtOnce, Moment At, int WorkMin, string There, IReadOnlyList<IReadOnlyList<string>> Lines);

/// <summary>A pick-up moved to another time of the same day.</summary>
/// <param name="From">Its clock time, "07:30".</param>
/// <param name="To">The clock time it moves to.</param>
public sealed record PickUpMove(string? From, string? To);

/// <summary>Why a task is when it is.</summary>
/// <param name="Id">The task.</param>
/// <param name="Why">In words.</param>
/// <param name="WaitsFor">What comes right before it.</param>
/// <param name="WaitedBy">What comes right after it.</param>
/// <param name="SlipMin">By how many minutes it can end later while nothing else moves; below 0 where it is late already.</param>
/// <param name="SlipEnds">What then would be touched.</param>
public sealed record ReasonAnswer(
    string Id, string Why, IReadOnlyList<NeighbourAnswer> WaitsFor, IReadOnlyList<NeighbourAnswer> WaitedBy, int SlipMin, string SlipEnds);

/// <summary>A task next to another.</summary>
/// <param name="Id">The task.</param>
/// <param name="Name">What is done.</param>
/// <param name="About">Of what.</param>
/// <param name="Start">When it begins.</param>
/// <param name="End">When it ends.</param>
/// <param name="GapMin">Minutes between.</param>
/// <param name="LeastMin">Minutes that must lie between.</param>
public sealed record NeighbourAnswer(string Id, string Name, string About, Moment Start, Moment End, int GapMin, int LeastMin);

/// <summary>One step at an oven.</summary>
/// <param name="At">When.</param>
/// <param name="Act">"set", "drop", "off", "heatTrays", "in", "move", "weightsOut", "turn", "handwork" or "out".</param>
/// <param name="Oven">Name of the oven.</param>
/// <param name="Words">The step in words.</param>
/// <param name="DialC">What the dial is set to; null where nothing is set.</param>
/// <param name="TempC">Temperature that it is drawn in.</param>
/// <param name="Places">Where the trays concerned are: "shelves 1, 2, floor 1"; may be empty.</param>
/// <param name="Products">Names of the products concerned.</param>
/// <param name="ReadyWhen">How one sees that what comes out is done.</param>
/// <param name="Caution">What can hurt.</param>
public sealed record OvenStepAnswer(
    Moment At, string Act, string Oven, string Words, int? DialC, int? TempC, string Places, IReadOnlyList<string> Products, string ReadyWhen, string Caution);

/// <summary>How far a plan is that is being made.</summary>
/// <param name="Percent">About what part of the work is done; null where none is being made.</param>
public sealed record PlanProgressAnswer(int? Percent);
