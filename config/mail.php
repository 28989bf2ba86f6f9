<?php

declare(strict_types=1);

/* Without a mailer of the server's own, mails are kept to be looked at (`mail:outbox`, and a page for the demo account on this machine). */
return [
    'default' => env('MAIL_MAILER', 'outbox'),
    'mailers' => ['outbox' => ['transport' => 'outbox']],
];
