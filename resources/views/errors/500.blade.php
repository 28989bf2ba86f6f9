<x-error title="Something went wrong here"><p>The fault is ours, not yours, and it is in the log. What was saved before is safe.
    Try again.</p></x-error>
