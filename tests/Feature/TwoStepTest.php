<?php

declare(strict_types=1);

use App\Accounts\TimedCode;
use App\Models\User;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->freezeTime();
    $this->user = User::factory()->create()->refresh();
    $this->signIn = fn () => $this->post('/sign-in', ['email' => $this->user->email, 'password' => 'password']);
    // Sets it up as a person does; the secret as the page shows it, typed into a phone.
    $this->setUp = function (): string {
        $this->actingAs($this->user)->post('/account/two-step', ['current' => 'password'])->assertRedirect('/account/two-step');
        preg_match('/phone-key">([A-Z2-7 ]+)</', (string) $this->get('/account/two-step')->assertOk()->getContent(), $shown);
        $secret = fromBase32($shown[1]);
        $this->put('/account/two-step', ['code' => (new TimedCode($secret))->at(now()->getTimestamp())])->assertRedirect('/account');
        $this->codes = session('recovery');
        $this->post('/sign-out')->assertRedirect();
        auth()->forgetGuards();
        $this->user->refresh();

        return $secret;
    };
    $this->code = fn (string $code) => $this->post('/sign-in/code', ['code' => $code]);
    $this->later = fn (int $seconds) => (new TimedCode($this->secret))->at(now()->getTimestamp() + $seconds);
});

/** Read by a table of its own, letter by letter. */
function fromBase32(string $typed): string
{
    $bits = '';
    foreach (str_split(str_replace(' ', '', $typed)) as $letter) {
        $bits .= str_pad(decbin(ctype_digit($letter) ? (int) $letter + 24 : ord($letter) - ord('A')), 5, '0', STR_PAD_LEFT);
    }

    return implode('', array_map(fn (string $byte) => chr((int) bindec($byte)), str_split(substr($bits, 0, intdiv(strlen($bits), 8) * 8), 8)));
}

it('makes the codes of the standard\'s own examples', function (string $digest, int $length, array $codes) {
    $secret = substr(str_repeat('1234567890', 7), 0, $length);
    $times = [59, 1111111109, 1111111111, 1234567890, 2000000000, 20000000000];
    expect(array_map(fn (int $time) => (new TimedCode($secret, 8, $digest))->at($time), $times))->toBe($codes);
})->with([
    ['sha1', 20, ['94287082', '07081804', '14050471', '89005924', '69279037', '65353130']],
    ['sha256', 32, ['46119246', '68084774', '67062674', '91819424', '90698825', '77737706']],
    ['sha512', 64, ['90693936', '25091201', '99943326', '93441116', '38618901', '47863826']],
]);

it('takes the code before and the code after, none twice, and none before one that was taken', function () {
    $code = new TimedCode('12345678901234567890');
    $now = 1_111_111_111;
    $step = intdiv($now, 30);
    foreach ([-2 => null, -1 => $step - 1, 0 => $step, 1 => $step + 1, 2 => null] as $steps => $expected) {
        expect($code->stepOf($code->at($now + 30 * $steps), $now, 0))->toBe($expected);
    }
    expect($code->stepOf($code->at($now), $now, $step))->toBeNull()->and($code->stepOf($code->at($now - 30), $now, $step))->toBeNull()
        ->and($code->stepOf($code->at($now + 30), $now, $step))->toBe($step + 1);
});

it('tells a phone the secret by an address, and a person in fours', function () {
    // "12345678901234567890" in base 32, worked out by hand.
    $code = new TimedCode('12345678901234567890');
    expect($code->typed())->toBe('GEZD GNBV GY3T QOJQ GEZD GNBV GY3T QOJQ')
        ->and($code->address('ana@hidden-wire.test'))
        ->toBe('otpauth://totp/Hidden%20Wire:ana%40hidden-wire.test?secret=GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ&issuer=Hidden%20Wire');
});

it('lets nobody in by the password alone once it is on', function () {
    ($this->signIn)()->assertRedirect('/');
    $this->assertAuthenticated();
    auth()->logout();
    $this->secret = ($this->setUp)();
    ($this->signIn)()->assertRedirect('/sign-in/code');
    $this->assertGuest();
    $this->get('/')->assertRedirect('/sign-in');
    $this->get('/sign-in/code')->assertOk()->assertSee('The code that your phone shows now');
    ($this->code)('000000')->assertSessionHasErrors('code');
    // The code that turned it on was used then.
    ($this->code)(($this->later)(0))->assertSessionHasErrors('code');
    $this->assertGuest();
    $this->travel(31)->seconds();
    ($this->code)(($this->later)(0))->assertRedirect('/');
    $this->assertAuthenticatedAs($this->user);
});

it('keeps the secret closed, and of recovery codes digests only', function () {
    $this->secret = ($this->setUp)();
    $row = (array) DB::table('users')->find($this->user->id);
    expect($this->codes)->toHaveCount(10)->and(array_unique($this->codes))->toHaveCount(10);
    foreach ([base64_encode($this->secret), $this->secret, ...$this->codes, ...array_map(fn ($code) => str_replace('-', '', $code), $this->codes)] as $open) {
        expect(json_encode($row, JSON_INVALID_UTF8_SUBSTITUTE))->not->toContain($open);
    }
    expect($this->user->toArray())->not->toHaveKey('two_step_secret')->not->toHaveKey('recovery_codes');
});

it('takes a recovery code once, however it is typed', function () {
    ($this->setUp)();
    ($this->signIn)();
    ($this->code)(strtoupper(str_replace('-', ' ', $this->codes[3])))->assertRedirect('/');
    $this->assertAuthenticatedAs($this->user);
    $this->get('/account')->assertOk()->assertSee('9 recovery');
    auth()->logout();
    ($this->signIn)();
    ($this->code)($this->codes[3])->assertSessionHasErrors('code');
    $this->assertGuest();
});

it('stops after five wrong codes a minute, for the right one too', function () {
    $this->secret = ($this->setUp)();
    ($this->signIn)();
    for ($i = 0; $i < 5; $i++) {
        ($this->code)('000000')->assertRedirect();
    }
    $this->travel(31)->seconds();
    ($this->code)(($this->later)(0))->assertSessionHasErrors('code');
    $this->assertGuest();
    $this->travel(31)->seconds();
    ($this->code)(($this->later)(0))->assertRedirect('/');
});

it('asks for the password again when the code comes too late, or the password has changed', function () {
    $this->secret = ($this->setUp)();
    ($this->signIn)();
    $this->travel(301)->seconds();
    ($this->code)(($this->later)(0))->assertRedirect('/sign-in');
    ($this->signIn)();
    $this->user->update(['password' => 'another password']);
    ($this->code)(($this->later)(0))->assertRedirect('/sign-in');
    $this->assertGuest();
    $this->get('/sign-in/code')->assertRedirect('/sign-in');
});

it('is turned on, renewed and turned off with the password only, and by command where all is lost', function () {
    $this->actingAs($this->user)->post('/account/two-step', ['current' => 'wrong'])->assertSessionHasErrorsIn('twoStep', 'current');
    $this->get('/account/two-step')->assertRedirect('/account');
    ($this->setUp)();
    $old = $this->codes;
    $this->actingAs($this->user)->post('/account/two-step/codes', ['current' => 'wrong'])->assertSessionHasErrorsIn('twoStep', 'current');
    $this->post('/account/two-step/codes', ['current' => 'password'])->assertSessionHas('recovery');
    expect(array_intersect($old, session('recovery')))->toBe([]);
    $this->delete('/account/two-step', ['current' => 'wrong'])->assertSessionHasErrorsIn('twoStep', 'current');
    expect($this->user->fresh()->hasTwoSteps())->toBeTrue();
    $this->delete('/account/two-step', ['current' => 'password'])->assertRedirect('/account');
    expect($this->user->fresh()->hasTwoSteps())->toBeFalse();
    ($this->setUp)();
    $this->artisan('account:one-step', ['email' => strtoupper($this->user->email)])->assertSuccessful();
    expect($this->user->fresh()->hasTwoSteps())->toBeFalse();
    $this->artisan('account:one-step', ['email' => 'nobody@hidden-wire.test'])->assertFailed();
});

it('is not turned on before a code has fitted', function () {
    $this->actingAs($this->user)->post('/account/two-step', ['current' => 'password']);
    $this->put('/account/two-step', ['code' => '000000'])->assertSessionHasErrors('code');
    expect($this->user->fresh()->hasTwoSteps())->toBeFalse();
});
