using Ochema.Core.Responses;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Making.Steps;

/// <summary>What is read off instead of trusting lists: steps that follow from pieces and joints, whatever kinds they are of (common
/// practice, no source).</summary>
internal static class MeasuringSteps
{
    /// <summary>What is read off of the conditions.</summary>
    internal static Reading Of(string property, double? value)
    {
        var d = MeasureReader.Declared(typeof(RunConditions)).First(m => m.Property.Name == property);
        return Asked($"run.{d.Name}", d.Measure!, value);
    }

    internal static Reading Asked(string path, MeasureAttribute m, double? value) =>
        new(path, m.Label, m.HowTo, m.Dimension, m.Minimum, m.Maximum, value)
        {
            UsualFrom = double.IsFinite(m.UsualFrom) ? m.UsualFrom : null,
            UsualTo = double.IsFinite(m.UsualTo) ? m.UsualTo : null,
        };

    /// <summary>What may be measured, with what was.</summary>
    public static StationStep? Measured(RigDocument rig)
    {
        var readings = new List<Reading>();
        void Of(string path, object record)
        {
            foreach (var d in MeasureReader.Declared(record.GetType()))
                if (d.Measure is { Measured: true, Chosen: false } m && (record is not Site site
                    || KindDescriptors.IsAsked(d.Property, site.Form)))
                    readings.Add(Asked($"{path}.{d.Name}", m, (double?)d.Property.GetValue(record)));
                else if (d.Part is not null && d.Property.GetValue(record) is Kind part)
                    Of($"{path}.{d.Name}", part);
        }
        Of("site", rig.Site);
        Of("base", rig.Base);
        foreach (var path in rig.Paths)
        {
            Of(path.At + ".reach", path.Reach);
            Of(path.At + ".isolator", path.Isolator);
            Of(path.At + ".head", path.Head);
            Of(path.At + ".camera", path.Camera);
        }
        foreach (var brace in rig.Braces)
            Of($"braces.[{brace.Id}]", brace);
        return readings.Count == 0 ? null : new(StationId.Site, new(Work.Measure, "Measure what you can instead of trusting lists",
            "Each value that you read off beats the list's and is kept with its day. None is a must; pulls and weights gain most.")
        { Tools = ["tape", "calipers", "scale", "kitchen-scale"], Minutes = 3 * Math.Min(5, readings.Count) })
        { Readings = readings };
    }
}
