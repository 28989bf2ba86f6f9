<x-error title="This request can't be read"><p>Something in it is damaged. Go back and try again.</p></x-error>
