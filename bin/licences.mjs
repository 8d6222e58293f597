// The script packages and fonts that ship, with licence and its text, into public/build/licences.json: the page About and the file of all
// texts show them. Run by bin/install after the build.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';

const { packages } = JSON.parse(readFileSync('package-lock.json', 'utf8'));
const shipped = Object.entries(packages).flatMap(([path, { dev, version, license }]) => {
    if (!path || dev || !existsSync(path)) {
        return [];
    }
    const file = readdirSync(path).find((name) => /^licen[cs]e/i.test(name));
    const text = file ? readFileSync(`${path}/${file}`, 'utf8') : '';
    return { name: path.replace(/^.*node_modules\//, ''), version, licence: license ?? '', text };
});
writeFileSync('public/build/licences.json', JSON.stringify(shipped));
