<?php

declare(strict_types=1);

/*
 * Mutants that do what the code does, by file and diff as the bench prints it, each with the reason. At most one in twenty of a sample.
 *
 * @return list<array{string, string, string}>
 */
return [
];
