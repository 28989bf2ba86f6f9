<x-error title="Back in a moment"><p>Hidden Wire is being looked after. Try again in a minute.</p></x-error>
