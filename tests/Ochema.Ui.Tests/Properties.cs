// One browser at a time: two cores.
[assembly: CollectionBehavior(DisableTestParallelization = true)]
