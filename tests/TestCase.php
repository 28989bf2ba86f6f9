<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Http\Request;

abstract class TestCase extends BaseTestCase
{
    protected function setUp(): void
    {
        // Known hosts belong to a process, and each test is one of its own.
        Request::setTrustedHosts([]);
        parent::setUp();
        $this->withoutVite();
    }
}
