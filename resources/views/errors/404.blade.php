<x-error title="There is nothing here">
    <p>The address is wrong, what was here is gone, or it belongs to somebody who has not invited you.</p>
</x-error>
