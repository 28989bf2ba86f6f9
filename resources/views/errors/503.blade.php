<x-error title="Back in a moment"><p>The database is away for a moment, or being looked after. Nothing that was confirmed is lost.
    Try again in a few seconds.</p></x-error>
