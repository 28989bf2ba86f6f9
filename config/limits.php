<?php

declare(strict_types=1);

/*
 * What one account, or one crew, may have, and how often an account may take something in. Each can be set in .env; 0 is no limit.
 * Whoever comes near one is told on the pages where it counts and on the page of the account.
 */
return [

    'rigs' => (int) env('LIMIT_RIGS', 500),

    'pictures' => (int) env('LIMIT_PICTURES', 2000),

    'recordings' => (int) env('LIMIT_RECORDINGS', 200),

    'crews' => (int) env('LIMIT_CREWS', 50),

    'imports_an_hour' => (int) env('LIMIT_IMPORTS_AN_HOUR', 120),

];
