<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/**
 * The project with files of ours added, in a folder of its own: core and application are copied, packages are those that are here.
 *
 * @param  array<string, string>  $added  content by path
 * @return string the folder
 */
function projectWith(array $added): string
{
    $root = dirname(__DIR__, 2);
    $folder = sys_get_temp_dir().'/kp-kinds-'.bin2hex(random_bytes(6));
    mkdir("$folder/vendor", recursive: true);
    foreach (['core', 'app', 'ops', 'docs', 'prism'] as $part) {
        (new Process(['cp', '-r', "$root/$part", "$folder/$part"]))->mustRun();
    }
    file_put_contents("$folder/vendor/autoload.php", <<<PHP
        <?php
        spl_autoload_register(static function (string \$class): void {
            foreach (['App\\\\' => 'app/', 'KnottyPrism\\\\Core\\\\' => 'core/'] as \$prefix => \$part) {
                \$file = dirname(__DIR__).'/'.\$part.strtr(substr(\$class, strlen(\$prefix)), '\\\\', '/').'.php';
                if (str_starts_with(\$class, \$prefix) && is_file(\$file)) {
                    require \$file;
                }
            }
        });
        \$loader = require '$root/vendor/autoload.php';
        \$loader->unregister();
        \$loader->register();
        return \$loader;
        PHP);
    foreach ($added as $path => $content) {
        file_put_contents("$folder/$path", $content);
    }
    register_shutdown_function(static fn () => (new Process(['rm', '-rf', $folder]))->run());

    return $folder;
}
