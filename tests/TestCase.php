<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Http\Request;

abstract class TestCase extends BaseTestCase
{
    /** As the web server that we ship. */
    public function withServerVariables(array $server)
    {
        return parent::withServerVariables([...['LISTENS_ON' => '127.0.0.1'], ...$server]);
    }

    protected function setUp(): void
    {
        // Known hosts belong to a process, and each test is one of its own.
        Request::setTrustedHosts([]);
        parent::setUp();
        $this->withoutVite();
        $this->withServerVariables([]);
    }
}
