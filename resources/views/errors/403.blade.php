<x-error title="You may look at this, but not change it"><p>{{ $exception->getMessage() ?: 'Its owner can let you edit it.' }}</p></x-error>
