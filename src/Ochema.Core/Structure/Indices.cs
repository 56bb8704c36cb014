namespace Ochema.Core.Structure;

/// <summary>A node of a model, by its place among the nodes. No number passes for it, nor a place in another list.</summary>
public readonly record struct NodeIndex(int Value);

/// <summary>A spring of a model, by its place among the springs.</summary>
public readonly record struct SpringIndex(int Value);

/// <summary>A beam element of a model, by its place among the members.</summary>
public readonly record struct BeamIndex(int Value);

/// <summary>A line of a model, by its place among the lines.</summary>
public readonly record struct LineIndex(int Value);
