<?php

declare(strict_types=1);

return (new PhpCsFixer\Config())
    ->setParallelConfig(new PhpCsFixer\Runner\Parallel\ParallelConfig(2))
    ->setRiskyAllowed(true)
    ->setRules([
        '@Symfony' => true,
        '@Symfony:risky' => true,
        'declare_strict_types' => true,
        'phpdoc_align' => false,
        'phpdoc_to_comment' => false,
        'method_argument_space' => ['on_multiline' => 'ignore'],
        'single_line_throw' => false,
    ])
    ->setCacheFile(__DIR__.'/var/cache/php-cs-fixer.json')
    ->setFinder((new PhpCsFixer\Finder())->notPath('reference.php')->in([__DIR__.'/core', __DIR__.'/src', __DIR__.'/tests', __DIR__.'/migrations', __DIR__.'/config'])->append([__FILE__]));
