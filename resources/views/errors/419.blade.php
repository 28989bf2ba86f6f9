<x-error title="This page was open for too long"><p>You were signed out meanwhile, or signed in again elsewhere.
    Reload the page, then send it once more.</p></x-error>
