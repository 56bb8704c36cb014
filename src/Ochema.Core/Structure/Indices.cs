namespace Ochema.Core.Structure;

/// <summary>A node of a model, by its place among the nodes. Reads as a number where one is asked for; no number passes for it.</summary>
public readonly record struct NodeIndex(int Value)
{
    public static implicit operator int(NodeIndex i) => i.Value;
}

/// <summary>A spring of a model, by its place among the springs.</summary>
public readonly record struct SpringIndex(int Value)
{
    public static implicit operator int(SpringIndex i) => i.Value;
}

/// <summary>A beam element of a model, by its place among the members.</summary>
public readonly record struct BeamIndex(int Value)
{
    public static implicit operator int(BeamIndex i) => i.Value;
}

/// <summary>A line of a model, by its place among the lines.</summary>
public readonly record struct LineIndex(int Value)
{
    public static implicit operator int(LineIndex i) => i.Value;
}
