// Answers are timed, and servers are started and killed: one class at a time.
[assembly: CollectionBehavior(DisableTestParallelization = true)]
