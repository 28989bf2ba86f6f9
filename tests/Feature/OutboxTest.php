<?php

declare(strict_types=1);

use App\Mail\OutboxTransport;
use App\Models\OutboxMail;
use App\Models\User;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

beforeEach(function () {
    config(['mail.default' => 'outbox']);
    $this->demo = User::factory()->create(['email' => DatabaseSeeder::EMAIL]);
    $this->person = User::factory()->create(['email' => 'keeper@museum.test']);
    $this->ask = fn () => $this->post('/forgotten', ['email' => 'keeper@museum.test'])->assertRedirect('/sign-in');
});

it('keeps a mail that would have been sent, and its link works once', function () {
    ($this->ask)();
    $mail = OutboxMail::query()->sole();
    expect($mail->to)->toBe('keeper@museum.test')->and($mail->subject)->toBe('A new password for Hidden Wire')
        ->and($mail->text)->toContain('within 60 minutes')->not->toContain('&amp;');
    $links = array_values(array_filter($mail->pieces(), fn (array $piece) => $piece['isLink'] && str_contains($piece['text'], '/new-password/')));
    $address = $links[0]['text'];
    $this->get($address)->assertOk();
    $token = basename((string) parse_url($address, PHP_URL_PATH));
    $fields = ['token' => $token, 'email' => 'keeper@museum.test', 'password' => 'gulls over the pier', 'password_confirmation' => 'gulls over the pier'];
    $this->post('/new-password', $fields)->assertSessionHasNoErrors()->assertRedirect('/sign-in');
    $this->post('/new-password', [...$fields, 'password' => 'another of them all', 'password_confirmation' => 'another of them all'])
        ->assertSessionHasErrors('email');
});

it('keeps no link readable in the database, and not for ever', function () {
    ($this->ask)();
    expect(DB::table('outbox_mails')->value('text'))->not->toContain('new-password');
    for ($i = 0; $i < OutboxTransport::MOST + 3; $i++) {
        Mail::raw("Mail {$i}", fn ($mail) => $mail->to('keeper@museum.test')->subject("Number {$i}"));
    }
    expect(OutboxMail::query()->count())->toBe(OutboxTransport::MOST)
        ->and(OutboxMail::query()->latest('id')->first()?->subject)->toBe('Number '.(OutboxTransport::MOST + 2));
});

it('is shown to the demo account at this machine, and leads to what a mail links to', function () {
    ($this->ask)();
    $this->actingAs($this->demo)->get('/outbox')->assertOk()->assertSee('keeper@museum.test')->assertSee('/new-password/', false);
    $this->get('/account')->assertOk()->assertSee('/outbox', false);
});

it('is shown to nobody else', function (array $server, array $headers, bool $isDemo) {
    ($this->ask)();
    $this->actingAs($isDemo ? $this->demo : $this->person)->withServerVariables($server)->withHeaders($headers)->get('/outbox')->assertNotFound();
})->with([
    'another account' => [[], [], false],
    'from another machine' => [['REMOTE_ADDR' => '192.0.2.7'], [], true],
    'by a proxy on this machine' => [[], ['X-Forwarded-For' => '127.0.0.1'], true],
    'by a proxy that says so by the standard' => [[], ['Forwarded' => 'for=127.0.0.1'], true],
    'by one that says its own name' => [[], ['Via' => '1.1 gate'], true],
]);

it('asks whoever is signed out to sign in, and is not there where mails are sent', function () {
    $this->get('/outbox')->assertRedirect('/sign-in');
    config(['mail.default' => 'array']);
    $this->actingAs($this->demo)->get('/outbox')->assertNotFound();
});

it('prints the latest mails on the command line, the last one last', function () {
    foreach (['First', 'Second', 'Third'] as $subject) {
        Mail::raw("{$subject} text", fn ($mail) => $mail->to('keeper@museum.test')->subject($subject));
    }
    Artisan::call('mail:outbox', ['--latest' => '2']);
    $printed = Artisan::output();
    expect($printed)->toContain('Subject: Second')->toContain('Third text')->not->toContain('First')
        ->and(strpos($printed, 'Second'))->toBeLessThan((int) strpos($printed, 'Third'));
    expect(Artisan::call('mail:outbox', ['--latest' => 'all']))->toBe(1);
    OutboxMail::query()->delete();
    Artisan::call('mail:outbox');
    expect(Artisan::output())->toContain('No mail yet.');
});

it('lets the demo account in at this machine only, whatever a proxy on it says', function (array $server, array $headers, bool $isIn) {
    $this->demo->forceFill(['password' => 'night-relay'])->save();
    $answer = $this->withServerVariables($server)->withHeaders($headers)->post('/sign-in', ['email' => DatabaseSeeder::EMAIL, 'password' => 'night-relay']);
    $isIn ? $answer->assertSessionHasNoErrors() : $answer->assertSessionHasErrors('email');
})->with([
    'here' => [[], [], true],
    'elsewhere' => [['REMOTE_ADDR' => '192.0.2.7'], [], false],
    'behind a proxy here' => [[], ['X-Forwarded-For' => '127.0.0.1'], false],
]);
