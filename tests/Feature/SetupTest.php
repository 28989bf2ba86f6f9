<?php

declare(strict_types=1);

use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;

/* What the scripts do to the machine, with stand-ins for the machine's own commands. */
beforeEach(function () {
    $this->folder = sys_get_temp_dir().'/hidden-wire-setup-'.getmypid();
    File::ensureDirectoryExists("{$this->folder}/bin");
    foreach (['systemctl', 'update-rc.d'] as $command) {
        file_put_contents("{$this->folder}/bin/{$command}", "#!/bin/sh\necho \"{$command} \$*\" >> {$this->folder}/done\n");
        chmod("{$this->folder}/bin/{$command}", 0755);
    }
    /** Runs lines of shell with bin/setup.sh loaded; what they print, and what was asked of the machine. */
    $this->shell = function (string $lines): array {
        @unlink("{$this->folder}/done");
        $run = Process::path(base_path())->env(['PATH' => "{$this->folder}/bin:".getenv('PATH')])
            ->run(['bash', '-c', ". bin/setup.sh; as_root() { \"\$@\"; }; POLICY={$this->folder}/policy\n{$lines}"]);

        return [trim($run->output()), trim((string) @file_get_contents("{$this->folder}/done")), $run->exitCode()];
    };
});

afterEach(fn () => File::deleteDirectory($this->folder));

it('keeps services that it installs from starting, now and with the machine, and leaves alone what was there', function () {
    [, $asked] = ($this->shell)('never_start nginx-light chromium php8.2-fpm librsvg2-bin mariadb-server supervisor');
    $disabled = array_filter(explode("\n", $asked), fn (string $one) => str_contains($one, 'disable'));
    expect(array_values($disabled))->toBe(['systemctl disable nginx.service', 'systemctl disable php8.2-fpm.service', 'systemctl disable mariadb.service',
        'systemctl disable supervisor.service']);
    // Nothing was installed: nothing is switched off.
    expect(($this->shell)('never_start')[1])->toBe('');
    // While packages are installed nothing starts; afterwards the machine is as it was, also where the script is broken off.
    [$said] = ($this->shell)('keep_from_starting; "$POLICY"; echo $?; let_start; [ -e "$POLICY" ] || echo gone');
    expect($said)->toBe("101\ngone");
    ($this->shell)('keep_from_starting; exit 3');
    expect(file_exists("{$this->folder}/policy"))->toBeFalse();
    file_put_contents("{$this->folder}/policy", 'of somebody else');
    ($this->shell)('keep_from_starting; let_start; exit 0');
    expect(file_get_contents("{$this->folder}/policy"))->toBe('of somebody else');
});

it('fills in its templates, whatever is in a path', function () {
    $path = '/srv/a & b/$HOME';
    [$said] = ($this->shell)('fill database.conf root '.escapeshellarg($path).' as "setpriv --reuid=mysql "');
    expect($said)->toContain("command={$path}/bin/serve/alone")->toContain('setpriv --reuid=mysql mariadbd')->not->toContain('{{root}}');
});

it('lets one script of a kind run in a folder', function () {
    [$said, , $code] = ($this->shell)('SCRIPT=one; alone_here; bash -c ". bin/setup.sh; SCRIPT=one; alone_here; echo second"; echo first');
    expect($said)->toContain('bin/one runs here already (process ')->toContain('and is setting up. Nothing was changed.')->toContain('first')->not->toContain('second')
        ->and($code)->toBe(0);
    File::delete([base_path('storage/run/one.lock'), base_path('storage/run/one.log')]);
});

it('ends what a run before has left of its process group, and nothing else', function () {
    $file = "{$this->folder}/group";
    $lines = <<<SH
        setsid sh -c 'sleep 300 & sleep 300' & left=\$!
        sleep 0.5
        (cd / && exec setsid sleep 300) & other=\$!
        sleep 0.2
        echo \$left > {$file}
        bin/serve/alone {$file} echo instead
        pgrep -g \$left -r R,S,D > /dev/null || echo ended
        echo \$other > {$file}
        bin/serve/alone {$file} true
        kill -0 \$other && echo spared
        kill \$other
        SH;
    expect(($this->shell)($lines)[0])->toContain("instead\nended\nspared");
});
