namespace Lumpet.Core.DayPlan;

/// <summary>A day cannot be planned because something in it does not hold together; it is named.</summary>
public sealed class PlanStumblesException : Exception
{
    /// <summary>An exception without words; it exists for the framework's sake.</summary>
    public PlanStumblesException()
    {
    }

    /// <summary>An exception with a message.</summary>
    public PlanStumblesException(string message)
        : base(message)
    {
    }

    /// <summary>An exception with a message and its cause.</summary>
    public PlanStumblesException(string message, Exception innerException)
        : base(message, innerException)
    {
    }

    /// <summary>Works on a lot; what goes wrong names it.</summary>
    /// <exception cref="PlanStumblesException">The work failed.</exception>
    internal static T Over<T>(Lot lot, Func<T> work)
    {
        try
        {
            return work();
        }
        catch (Exception exception) when (exception is not (PlanStumblesException or OperationCanceledException))
        {
            throw new PlanStumblesException($"{lot.Product.Name} in {lot.Pan.Name}: {exception.Message.Split(" (Parameter", StringSplitOptions.None)[0]}", exception);
        }
    }
}
