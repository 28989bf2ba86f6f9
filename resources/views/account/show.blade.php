@php use HiddenWire\Core\Quantity\Lengths; @endphp
<x-page title="Account" class="shelf">
    <header class="top">
        <x-brand />
        <h1>Account</h1>
        <nav aria-label="Elsewhere"><a href="{{ route('rigs.index') }}">Rigs</a></nav>
        <div class="top-end"><x-account /></div>
    </header>
    <main class="shelf-main account-page">
        @if (session('said')) <p class="said" role="status">{{ session('said') }}</p> @endif
        <p>{{ auth()->user()?->name }}, {{ auth()->user()?->email }}</p>
        @if ($hasOutbox) <p><a href="{{ route('outbox') }}">Mails that would have been sent</a></p> @endif
        <section class="account-part" aria-labelledby="lengths-title">
            <h2 id="lengths-title">Lengths</h2>
            <form method="post" action="{{ route('account.lengths') }}">
                @csrf @method('put')
                <label>Read and written in <select class="form-select" name="lengths">@foreach (Lengths::cases() as $case)
                    <option value="{{ $case->value }}" @selected($case === auth()->user()?->lengths)>{{ $case->name() }}</option>
                    @endforeach</select></label>
                @error('lengths') <p class="trouble" role="alert">{{ $message }}</p> @enderror
                <button class="btn btn-sm btn-ink" type="submit">Set<span class="visually-hidden"> the unit of lengths</span></button>
            </form>
        </section>
        <section class="account-part" aria-labelledby="limits-title">
            <h2 id="limits-title">What is kept</h2>
            <p>@foreach ($limits as $limit) {{ $limit->words() }}@if (! $loop->last), @endif @endforeach</p>
            @foreach ($limits as $limit) @if ($limit->isNear()) <p class="quiet">{{ $limit->warning() }}</p> @endif @endforeach
        </section>
        <section class="account-part" aria-labelledby="password-title">
            <h2 id="password-title">Password</h2>
            <form method="post" action="{{ route('account.password') }}">
                @csrf @method('put')
                @foreach ([['current', 'Password now', 'current-password'],
                    ['password', 'New password, 10 characters or more', 'new-password'],
                    ['password_confirmation', 'The new password again', 'new-password']] as [$field, $label, $complete])
                    <label>{{ $label }} <input class="form-control" type="password" name="{{ $field }}" autocomplete="{{ $complete }}"
                        required></label>
                    @if ($errors->password->has($field)) <p class="trouble" role="alert">{{ $errors->password->first($field) }}</p> @endif
                @endforeach
                <button class="btn btn-sm btn-ink" type="submit">Change the password</button>
            </form>
        </section>
        <section class="account-part" aria-labelledby="two-step-title">
            <h2 id="two-step-title">Two-step sign-in</h2>
            @if (session('recovery'))
                <p>Recovery codes, shown only now. Each stands in for the phone once: keep them where the phone is not.</p>
                <ul class="recovery-codes">@foreach (session('recovery') as $code) <li><code>{{ $code }}</code></li> @endforeach</ul>
            @endif
            @if ($codesLeft === null)
                <p>A code from your phone beside the password: the password alone lets nobody in.</p>
                <form method="post" action="{{ route('account.two-step.begin') }}">@csrf
            @else
                <p>On. @if ($codesLeft === 0) No recovery code is left. @else {{ $codesLeft }} recovery
                    {{ $codesLeft === 1 ? 'code is' : 'codes are' }} left. @endif</p>
                <form method="post" action="{{ route('account.two-step.renew') }}">@csrf
            @endif
                <label>Password <input class="form-control" type="password" name="current" autocomplete="current-password" required></label>
                @if ($errors->twoStep->has('current'))
                    <p class="trouble" role="alert">{{ $errors->twoStep->first('current') }}</p> @endif
                @if ($codesLeft === null) <button class="btn btn-sm btn-ink" type="submit">Set it up</button>
                @else <button class="btn btn-sm btn-ink" type="submit">New recovery codes</button>
                    <button class="do" type="submit" name="_method" value="delete"
                    formaction="{{ route('account.two-step.end') }}">Turn it off</button> @endif
            </form>
        </section>
        <section class="account-part" aria-labelledby="everywhere-title">
            <h2 id="everywhere-title">Sessions</h2>
            <ul class="sessions">
                @foreach ($sessions->sessions as $one)
                    <li><div>@if ($one['isHere']) <strong>Here</strong> @else Used {{ $one['used'] }} @endif from {{ $one['from'] }}
                        <small class="quiet">{{ $one['browser'] }}</small></div>
                        @if (! $one['isHere']) <form method="post" action="{{ route('account.sign-out', $one['mark']) }}">@csrf
                            @method('delete')<button class="do" type="submit">Sign out<span class="visually-hidden"> the one from {{
                            $one['from'] }}, used {{ $one['used'] }}</span></button></form> @endif</li>
                @endforeach
            </ul>
            <form method="post" action="{{ route('account.everywhere') }}">
                @csrf
                <label>Password <input class="form-control" type="password" name="current" autocomplete="current-password" required></label>
                @if ($errors->everywhere->has('current'))
                    <p class="trouble" role="alert">{{ $errors->everywhere->first('current') }}</p> @endif
                <button class="btn btn-sm btn-ink" type="submit">Sign out everywhere else</button>
            </form>
        </section>
        <section class="account-part" aria-labelledby="deeds-title">
            <h2 id="deeds-title">What was done</h2>
            <x-deeds :deeds="$deeds" />
        </section>
        <section class="account-part" aria-labelledby="end-title">
            <h2 id="end-title">Export or delete</h2>
            <p><a href="{{ route('account.export') }}" download>Download all rigs, pictures and own models</a>
                as one archive. Each rig in it can be imported again.</p>
            @if ($crews->isNotEmpty()) <p>Rigs of your <a href="{{ route('crews.index') }}">crews</a> stay with them.@if ($alone !== [])
                {{ implode(', ', array_map(fn ($crew) => $crew->name, $alone)) }} {{ count($alone) === 1 ? 'has' : 'have' }} nobody else:
                their rigs are deleted with your account.@endif</p> @endif
            <form method="post" action="{{ route('account.destroy') }}" data-forgets
                data-confirm="Delete this account with all its rigs and their history? This can't be undone.">
                @csrf @method('delete')
                <label>Password <input class="form-control" type="password" name="current" autocomplete="current-password" required></label>
                @if ($errors->deletion->has('current')) <p class="trouble" role="alert">{{ $errors->deletion->first('current') }}</p> @endif
                <button class="btn btn-sm btn-ink" type="submit">Delete the account</button>
            </form>
        </section>
        <p><a href="{{ asset('build/licences.txt') }}">Licences of fonts, signs and scripts</a></p>
    </main>
    <x-keys />
</x-page>
