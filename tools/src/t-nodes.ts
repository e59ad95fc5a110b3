import { createDeriver } from '@garnish/core/derive/derive';
import { patched } from '@garnish/core/system/patch';
import { demoSystems } from '@garnish/server/demo/demo';
const doc = demoSystems()[0]!;
const kinds: Record<string,(i:number)=>any> = {
  type: (i)=>[{op:'replace',path:'/type/anchors/items/wide/base',value:18+(i%500)*0.01}],
  color:(i)=>[{op:'replace',path:'/color/sources/items/buoy/value',value:`#b5${(0x30+i%40).toString(16)}1a`}],
  space:(i)=>[{op:'replace',path:'/space/unit',value:6+(i%40)*0.1}],
};
for(const [k,f] of Object.entries(kinds)){
  const T=new Map<string,number[]>(); let lastName='',t=0;
  const flush=()=>{ if(lastName){const a=T.get(lastName)??[];a.push(performance.now()-t);T.set(lastName,a);} };
  const der=createDeriver((n)=>{flush();lastName=n;t=performance.now();});
  const docs=Array.from({length:300},(_,i)=>{const r=patched(doc,f(i)); if(!r.ok) throw 1; return r.document;});
  der(doc); lastName='';
  for(const d of docs){ der(d); flush(); lastName=''; }
  const rows=[...T].map(([n,v])=>[n,v.slice(100).sort((a,b)=>a-b)[(v.length-100)>>1]??0] as const).sort((a,b)=>b[1]-a[1]);
  console.log(k,'sum',rows.reduce((s,r)=>s+r[1],0).toFixed(2)); for(const r of rows.slice(0,14)) console.log('   ',r[1].toFixed(3),r[0]);
}
