@props(['plan'])
<h3>What becomes of it</h3>
<p role="status">{{ $plan->count('new') }} new, {{ $plan->count('changed') }} changed, {{
    $plan->count('same') }} as they are, {{ $plan->count('problem') }} that can't be made.</p>
<div class="matrix-scroll" tabindex="0" role="region" aria-label="Rows">
    <table class="rows"><thead><tr><th scope="col">Line</th><th scope="col">Outcome</th><th scope="col">What</th></tr></thead>
        <tbody>@foreach ($plan->rows as $row)
            <tr class="outcome-{{ $row->outcome }}"><td class="figures">{{ $row->line }}</td><td>{{ $row->outcome }}</td><td>{{
            $row->words }}</td></tr> @endforeach</tbody>
    </table>
</div>
