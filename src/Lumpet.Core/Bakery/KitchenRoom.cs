namespace Lumpet.Core.Bakery;

/// <summary>How much room a kitchen has besides its ovens. What is null nobody has counted, and it limits nothing.</summary>
public sealed record KitchenRoom
{
    /// <summary>Nothing is counted.</summary>
    public static KitchenRoom Uncounted { get; } = new();

    /// <summary>How many people have a place at the bench at once, for rolling, lining, filling and finishing.</summary>
    public int? BenchPlaces { get; init; }

    /// <summary>How many pots can be on the fire at once.</summary>
    public int? Burners { get; init; }

    /// <summary>Litres of the largest pot; it is filled to two thirds at most.</summary>
    public int? PotLitres { get; init; }

    /// <summary>Trays that the cooling racks hold.</summary>
    public int? RackTrays { get; init; }

    /// <summary>Trays that the fridge holds.</summary>
    public int? FridgeTrays { get; init; }

    /// <summary>Kilograms of dough and tubs that the fridge holds beside its trays.</summary>
    public int? FridgeKilograms { get; init; }

    /// <summary>Trays that the freezer holds.</summary>
    public int? FreezerTrays { get; init; }

    /// <summary>Kilograms of dough and tubs that the freezer holds beside its trays.</summary>
    public int? FreezerKilograms { get; init; }

    /// <summary>Whether anything is counted.</summary>
    public bool IsCounted => this != Uncounted;
}
