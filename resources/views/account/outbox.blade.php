<x-page title="Outbox" class="shelf">
    <header class="top">
        <x-brand />
        <h1>Outbox</h1>
        <nav aria-label="Elsewhere"><a href="{{ route('rigs.index') }}">Rigs</a> <a href="{{ route('account') }}">Account</a></nav>
        <div class="top-end"><x-account /></div>
    </header>
    <main class="shelf-main account-page">
        <p>This server has no mailer. Mails that would have been sent are kept here, for the demo account at this machine.
            Set MAIL_MAILER to send them.</p>
        @forelse ($mails as $mail)
            <section class="account-part" aria-labelledby="mail-{{ $mail->id }}">
                <h2 id="mail-{{ $mail->id }}">{{ $mail->subject }}</h2>
                <p class="quiet">To {{ $mail->to }}, {{ $mail->created_at->toDateTimeString() }} UTC</p>
                <p class="mail-text">@foreach ($mail->pieces() as $piece)@if ($piece['isLink'])<a
                    href="{{ $piece['text'] }}">{{ $piece['text'] }}</a>@else{{ $piece['text'] }}@endif @endforeach</p>
            </section>
        @empty
            <p>No mail yet. Ask for a new password at
                <a href="{{ route('password.request') }}">Forgotten password</a>, signed out, and look here again.</p>
        @endforelse
    </main>
</x-page>
