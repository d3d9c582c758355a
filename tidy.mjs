import ts from 'typescript'
import { readFileSync, writeFileSync } from 'node:fs'
import { globSync } from 'glob'
const src=globSync('web/src/**/*.{ts,tsx}',{ignore:'**/*.test.*'}).map(f=>[f,readFileSync(f,'utf8')])
for(const f of globSync('wording/src/catalogue/*.ts')){const c=f.split('/').pop().slice(0,-3);if(['say','locale','pseudo','help','tour'].includes(c))continue
 const t=readFileSync(f,'utf8');const sf=ts.createSourceFile(f,t,99,true);const cut=[]
 const users=src.filter(([,s])=>new RegExp(`speaks\\(${c}Messages\\)`).test(s)).map(x=>x[1]).join('\n')
 const w=n=>{if(ts.isPropertyAssignment(n)&&ts.isStringLiteralLike(n.initializer)&&!users.includes(`'${n.name.text}'`)&&!n.name.text.startsWith('found_'))cut.push(n);ts.forEachChild(n,w)};w(sf)
 if(cut.length){console.log(c,cut.map(n=>n.name.text).join(' '));let o=t;for(const n of cut.reverse()){let e=n.end;if(o[e]===',')e++;o=o.slice(0,n.pos)+o.slice(e)}writeFileSync(f,o)}
}
