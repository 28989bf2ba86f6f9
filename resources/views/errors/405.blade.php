<x-error title="This address takes no such request"><p>Go back to the page that you came from and use its buttons.</p></x-error>
